import { isIrreversible, type OperationKind, type PlacedOperation } from '../operation/index.js';
import { edgesOf, isWaived, type OrderRows, type Waiver } from '../order/index.js';

/** Work that a rule puts before the first cut of a decision, and whether that is fulfilled. */
export interface Before {
  readonly operation: OperationKind;
  /** The feature that it is done to. */
  readonly subject: string;
  readonly rule: string;
  readonly ok: boolean;
}

/** What must be done before the next cut of a decision: each operation once, in the order of the work; a rule that somebody waived counts as fulfilled. */
export function beforeCut(rows: OrderRows, decision: string, ordered: readonly PlacedOperation[], waivers: readonly Waiver[]): readonly Before[] {
  const cut = ordered.find((o) => o.decision === decision && isIrreversible(rows, o.kind) && o.state !== 'done' && o.state !== 'dropped');
  if (!cut) return [];
  const must = new Set(rows.rules.filter((r) => r.strength === 'must').map((r) => r.id));
  const edges = edgesOf(rows, ordered).filter((e) => e.after === cut.id && must.has(e.rule));
  return ordered.flatMap((o): Before[] => {
    const edge = edges.find((e) => e.before === o.id);
    if (!edge) return [];
    const waived = isWaived({ rule: edge.rule, strength: 'must', operations: [edge.before, edge.after], kind: 'order' }, waivers);
    return [{ operation: o.kind, subject: o.subject.id, rule: edge.rule, ok: o.state === 'done' || waived }];
  });
}
