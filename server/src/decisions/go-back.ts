import { choiceNow, type Decision, type LedgerEntry } from '@rinnovo/core/job';
import { goBack } from '@rinnovo/core/house';
import type { ReturnPlan } from '@rinnovo/contract';
import type { Evaluation } from '@rinnovo/core/check';
import { hasStarted, isOwn, type Operation } from '@rinnovo/core/operation';
import { depthsRead, type Return, type WorkSoFar } from '@rinnovo/core/record';
import type { Knex } from 'knex';
import { anatomyOf } from '../anatomy/queries.js';
import { ProblemError } from '../http/problems.js';
import { loadJobState, type JobState } from '../jobs/job-state.js';
import { demandNothingHidden } from '../readings/sessions.js';
import { inThread } from '../sums/pool.js';
import { decisionById, numbersOf } from './queries.js';

/** A decision whose work has begun, and what leads back from it. */
export interface WayBackOf {
  readonly s: JobState;
  readonly decision: Decision;
  readonly operations: readonly Operation[];
  readonly back: Return;
  /** What was there, judged in the instrument as it would be again. */
  readonly evaluation: Evaluation;
}

/** What leads back from a decision in force; throws not-found, and not-now where nothing has begun: that one is taken back. */
export async function wayBackOf(db: Knex, id: string): Promise<WayBackOf> {
  const decision = await decisionById(db, id);
  if (!decision || decision.undoneAt) throw new ProblemError('not-found', { detail: 'No decision in force has that id.' });
  const s = await loadJobState(db, decision.job);
  await demandNothingHidden(db, s.job.instrument);
  const operations = s.operations.filter((o) => o.decision === id && isOwn(o));
  if (!operations.some(hasStarted)) throw new ProblemError('not-now', { detail: 'No work on it has started. Undo the decision instead.' });
  const was = await anatomyOf(db, s.job.instrument, decision.revisions.anatomy);
  const work = operations.map((o) => soFar(o, s.ledger));
  // a route may have been moved since it was decided on: what was cut is what the plan had then
  const back = goBack({ decision: id, chosen: choiceNow(decision, s.plan), work, was: was.document, state: s.state });
  const evaluation = await inThread('choice', { state: { ...s.state, anatomy: back.anatomy, done: new Set() }, choice: back.choice });
  return { s, decision, operations, back, evaluation };
}

export function returnSummary({ back, evaluation }: WayBackOf): ReturnPlan {
  return { operations: back.operations, stays: back.stays, minutes: back.minutes, numbers: numbersOf(evaluation) };
}

function soFar(o: Operation, ledger: readonly LedgerEntry[]): WorkSoFar {
  const mine = ledger.filter((l) => l.operation === o.id);
  return {
    kind: o.kind,
    does: o.does,
    state: o.state,
    steps: mine.map((l) => ({ kind: l.step.replace(/^\d+ /, ''), drill: l.numbers['drillDiameter'] ?? null })),
    depths: depthsRead(mine),
    entry: mine.at(-1)?.id ?? '',
  };
}
