import type { PlanState } from '../check/index.js';
import { operationsOfBench, type GateRows } from '../gate/index.js';
import type { Anatomy } from '../instrument/index.js';
import { benchInput, judgeStep, type JobInHand, type LedgerEntry, type StepRefusal } from '../job/index.js';
import type { PlannedOperation } from '../work/index.js';
import { afterStep } from './after-step.js';
import { entryAfter, type KeptAs, type StepWhole } from './entry-after.js';

/** What is known of a job after a step that was judged here and is kept later. */
export interface Meanwhile {
  readonly kind: 'meanwhile';
  readonly entry: LedgerEntry;
  readonly operations: readonly PlannedOperation[];
  /** The instrument after it; null where nothing of it changed. */
  readonly anatomy: Anatomy | null;
}

/** A step judged on the state as it is known here, with what it leaves: the next step builds on that. What keeps it judges it again. */
export function stepMeanwhile(rows: GateRows, j: JobInHand, state: PlanState, said: StepWhole, as: Omit<KeptAs, 'after'>): Meanwhile | StepRefusal {
  const whole = { ...j, operations: operationsOfBench(rows, { ...benchInput(j), state }) };
  const outcome = judgeStep(rows, whole, state, said, new Date(as.at));
  if (outcome.kind !== 'logged') return outcome;
  const anatomy = afterStep(rows, { outcome, said, entry: as.id, ledger: j.ledger }, state);
  const after = anatomy ? { ...as.before, anatomy: as.before.anatomy + 1 } : as.before;
  const operations = whole.operations.map((o) => (o.id === outcome.operation.id ? { ...o, state: outcome.state } : o));
  return { kind: 'meanwhile', entry: entryAfter(outcome, said, { ...as, after }), operations, anatomy };
}
