import type { PlacedOperation } from '../operation/index.js';
import { isMeant, isNear, type OrderRows, type Strength } from './rule.js';
import { edgesOf } from './sequence.js';

/** A rule that the order breaks; accepting it takes a reason. */
export interface BrokenRule {
  readonly rule: string;
  readonly strength: Strength;
  /** The operations concerned: first the one that should come first; one only for a missing one. */
  readonly operations: readonly string[];
  readonly kind: 'order' | 'missing';
}

/** A break that a person accepted. */
export interface Waiver {
  readonly id: string;
  readonly rule: string;
  readonly operations: readonly string[];
  readonly reason: string;
  readonly person: string;
}

/** Every rule that an order breaks, in the order of the work. */
export function brokenRules(rows: OrderRows, ordered: readonly PlacedOperation[]): readonly BrokenRule[] {
  const { rules } = rows;
  const place = new Map(ordered.map((o, i) => [o.id, i]));
  const strength = new Map(rules.map((r) => [r.id, r.strength]));
  const wrong = edgesOf(rows, ordered)
    .filter((e) => (place.get(e.before) ?? 0) > (place.get(e.after) ?? 0))
    .map((e): BrokenRule => ({ rule: e.rule, strength: strength.get(e.rule) ?? 'should', operations: [e.before, e.after], kind: 'order' }));
  const live = ordered.filter((o) => o.state !== 'dropped');
  const missing = rules.flatMap((r) => {
    if (r.type !== 'require') return [];
    return live
      .filter((o) => isMeant(rows, r.to, o) && !live.some((x) => isMeant(rows, r.from, x) && isNear(r.scope, x, o)))
      .map((o): BrokenRule => ({ rule: r.id, strength: r.strength, operations: [o.id], kind: 'missing' }));
  });
  return [...wrong, ...missing];
}

/** Has this very break been accepted? */
export function isWaived(b: BrokenRule, waivers: readonly Waiver[]): boolean {
  return waivers.some((w) => w.rule === b.rule && b.operations.every((o) => w.operations.includes(o)));
}
