import type { CheckRows, PlanState } from '../check/index.js';
import type { Anatomy } from '../instrument/index.js';
import { levelRead, takesWood, type LedgerEntry, type StepOutcome, type StepSaid } from '../job/index.js';
import { asLeft, asSlipped, type DepthRead } from './as-left.js';
import type { Beyond } from './beyond-line.js';

/** A step that was judged: what it comes to, what was said of it, its entry, and what was logged before. */
export interface JudgedStep {
  readonly outcome: StepOutcome;
  readonly said: StepSaid;
  readonly entry: string;
  readonly ledger: readonly LedgerEntry[];
}

/** The instrument after a step: wood beyond the line is gone at once, the rest stands when the operation is over or a floor came out too deep; null where nothing changed. */
export function afterStep(rows: CheckRows, { outcome, said, entry, ledger }: JudgedStep, state: PlanState): Anatomy | null {
  const { operation, choice, target } = outcome;
  const level = target && levelRead({ target });
  const gone = slipOf(outcome, said);
  const before = gone && choice ? asSlipped(rows, { decision: operation.decision, choice, gone, entry }, state) : state.anatomy;
  const tooDeep = said.wrong?.mishap === 'tooDeep';
  const earlier = depthsRead(ledger.filter((l) => l.operation === operation.id));
  const mine: DepthRead[] = said.measured && level !== null ? [{ level, value: said.measured.value, limit: said.measured.limit, entry }] : [];
  const depths = [...mine, ...earlier.toReversed()];
  const over = outcome.state === 'done' || tooDeep;
  const after = over ? asLeft({ decision: operation.decision, does: operation.does, entry, depths }, before) : before;
  return after === state.anatomy ? null : after;
}

/** Where a slip took wood away, and how deep the work had gone by then; null where none is gone. */
function slipOf({ reached }: StepOutcome, { wrong }: StepSaid): Beyond | null {
  const { level = null, side = null, by = 0 } = wrong?.flaw ?? {};
  if (!wrong || !takesWood(wrong.mishap) || level === null || side === null) return null;
  return reached > 0 ? { level, side, by, depth: reached } : null;
}

/** The depths that were read in some entries, in their order. */
export function depthsRead(entries: readonly LedgerEntry[]): readonly DepthRead[] {
  return entries.flatMap((l): DepthRead[] => {
    const level = l.measured && levelRead(l.measured);
    return l.measured && level !== null ? [{ level, value: l.measured.value, limit: l.measured.limit, entry: l.id }] : [];
  });
}
