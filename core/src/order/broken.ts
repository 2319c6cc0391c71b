import type { Operation } from '../operation/index.js';
import type { OrderRows, Strength } from './rule.js';
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
export function brokenRules({ rules }: Pick<OrderRows, 'rules'>, ordered: readonly Operation[]): readonly BrokenRule[] {
  const place = new Map(ordered.map((o, i) => [o.id, i]));
  const strength = new Map(rules.map((r) => [r.id, r.strength]));
  const wrong = edgesOf({ rules }, ordered)
    .filter((e) => (place.get(e.before) ?? 0) > (place.get(e.after) ?? 0))
    .map((e): BrokenRule => ({ rule: e.rule, strength: strength.get(e.rule) ?? 'must', operations: [e.before, e.after], kind: 'order' }));
  const missing = rules.flatMap((r) => {
    if (r.type !== 'require') return [];
    return ordered
      .filter(
        (o) =>
          r.for.includes(o.kind) && o.state !== 'dropped' && !ordered.some((x) => x.kind === r.needs && x.decision === o.decision && x.state !== 'dropped'),
      )
      .map((o): BrokenRule => ({ rule: r.id, strength: r.strength, operations: [o.id], kind: 'missing' }));
  });
  return [...wrong, ...missing];
}

/** Has this very break been accepted? */
export function isWaived(b: BrokenRule, waivers: readonly Waiver[]): boolean {
  return waivers.some((w) => w.rule === b.rule && b.operations.every((o) => w.operations.includes(o)));
}
