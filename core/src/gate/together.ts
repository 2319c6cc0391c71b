import { valueOf } from '../measure/index.js';
import { operationRow, type OperationRows } from '../operation/index.js';
import type { PlannedOperation } from '../work/index.js';
import type { StepCard } from './card.js';

/** Operations that follow one another and are done step by step together: mark all, drill all, try all. At least two. */
export type Together = readonly string[];

/**
 * Like acts at like places among operations in their order: of one kind that says so, one after the other, with the same steps and the same numbers.
 * Four tuner holes to be opened to 11.5 are one set; one of them to 10 stands by itself, and so does one that other work comes before.
 */
export function togetherIn(
  rows: OperationRows,
  ordered: readonly PlannedOperation[],
  cardsOf: (o: PlannedOperation) => readonly StepCard[],
): readonly Together[] {
  const sets: { readonly like: string; readonly ids: string[] }[] = [];
  for (const o of ordered) {
    const like = operationRow(rows, o.kind).together ? likeness(o, cardsOf(o)) : '';
    const last = sets.at(-1);
    if (last && like !== '' && last.like === like) last.ids.push(o.id);
    else sets.push({ like, ids: [o.id] });
  }
  return sets.flatMap((s) => (s.ids.length > 1 ? [s.ids] : []));
}

/** What is the same of like acts: kind, steps, and every number on them. */
function likeness({ kind }: PlannedOperation, cards: readonly StepCard[]): string {
  return JSON.stringify([kind, cards.map((c) => [c.key, c.names, c.numbers.map((n) => [n.label, valueOf(n.working)])])]);
}
