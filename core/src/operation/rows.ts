import type { OperationRow } from './row.js';
import type { CautionId, StepKind, Steps } from './steps.js';

/** An operation's kind, by its name. */
export type OperationKind = string;

export type Operations = Readonly<Record<OperationKind, OperationRow>>;

/** What is registered of operations: whoever asks about a kind is handed it. */
export interface OperationRows {
  readonly operations: Operations;
  readonly steps: Steps;
}

/** Rows under their kinds. */
export function byKind<T extends { readonly kind: string }>(rows: readonly T[]): Readonly<Record<string, T>> {
  return Object.fromEntries(rows.map((r) => [r.kind, r]));
}

/** The row of a kind. Throws RangeError for a kind that nobody registered. */
export function operationRow({ operations }: Pick<OperationRows, 'operations'>, kind: OperationKind): OperationRow {
  const row = operations[kind];
  if (!row) throw new RangeError(`no such operation: ${kind}`);
  return row;
}

/** Does it take what cannot be put back? Then it needs clear to cut. */
export function isIrreversible(rows: Pick<OperationRows, 'operations'>, kind: OperationKind): boolean {
  return operationRow(rows, kind).undo === 'no';
}

/** Does some work take away wood, of a plate, or of the part itself? */
export function takesFrom(
  rows: Pick<OperationRows, 'operations'>,
  work: readonly { readonly kind: OperationKind }[],
  what: 'wood' | 'plate' | 'part',
): boolean {
  return work.some((w) => operationRow(rows, w.kind).takesFrom === what);
}

/** What to heed at a step. Throws RangeError for a step that nobody registered: a card without its cautions is not shown. */
export function cautionsOf({ steps }: Pick<OperationRows, 'steps'>, step: StepKind): readonly CautionId[] {
  const cautions = steps[step];
  if (!cautions) throw new RangeError(`no such step: ${step}`);
  return cautions;
}
