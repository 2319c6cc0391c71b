import type { Operation, PlacedOperation } from '../operation/index.js';
import { brokenRules, isWaived, type Waiver } from './broken.js';
import { isMeant, type GateRule, type OrderRows } from './rule.js';
import { edgesOf } from './sequence.js';

/** Why an operation cannot begin now. */
export type Hindrance =
  | { readonly kind: 'waitsFor'; readonly operation: string; readonly rule: string }
  | { readonly kind: 'gate'; readonly rule: string; readonly state: GateRule['state'] };

/** The states that gates ask for, as they are now. */
export type GateStates = Readonly<Record<GateRule['state'], boolean>>;

/** What hinders an operation: earlier work of a 'must' rule that is not done and not waived, and gates that are shut. */
export function hindrances(
  rows: OrderRows,
  operation: PlacedOperation,
  all: readonly PlacedOperation[],
  waivers: readonly Waiver[],
  gates: GateStates,
): readonly Hindrance[] {
  const must = new Set(rows.rules.filter((r) => r.strength === 'must').map((r) => r.id));
  const open = edgesOf(rows, all)
    .filter((e) => e.after === operation.id && must.has(e.rule))
    .filter((e) => all.find((o) => o.id === e.before)?.state !== 'done')
    .filter((e) => !isWaived({ rule: e.rule, strength: 'must', operations: [e.before, e.after], kind: 'order' }, waivers));
  // several rules may say the same of one operation: it is waited for once
  const waits = [...new Map(open.map((e) => [e.before, e])).values()].map((e): Hindrance => ({ kind: 'waitsFor', operation: e.before, rule: e.rule }));
  const shut = rows.rules
    .filter((r): r is GateRule => r.type === 'gate' && isMeant(rows, r.to, operation) && !gates[r.state])
    .map((r): Hindrance => ({ kind: 'gate', rule: r.id, state: r.state }));
  return [...waits, ...shut];
}

/** The first operation in the given order that is not finished; null when all is done. */
export function nextOperation<T extends Operation>(ordered: readonly T[]): T | null {
  return ordered.find((o) => o.state !== 'done' && o.state !== 'dropped') ?? null;
}

/** Is every broken rule of an order accepted? */
export function allAccepted(rows: OrderRows, ordered: readonly PlacedOperation[], waivers: readonly Waiver[]): boolean {
  return brokenRules(rows, ordered).every((b) => isWaived(b, waivers));
}
