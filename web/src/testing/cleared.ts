import type { Choice, PlanState } from '@rinnovo/core/check';
import { confirmKey, overrideKey, printWidths, restsOn } from '@rinnovo/core/gate';
import { judgeGate } from '@rinnovo/core/house';
import { dimensionAt, withDimension, type Anatomy } from '@rinnovo/core/instrument';
import type { Clearance, JobInHand } from '@rinnovo/core/job';
import { targetKey, type Reading } from '@rinnovo/core/quantity';
import { needKey } from '@rinnovo/core/work';

/** An instrument on which all that a choice's cut rests on is read twice, those readings, and what its gate is then cleared on. */
export interface Cleared {
  readonly anatomy: Anatomy;
  readonly readings: readonly Reading[];
  readonly given: Pick<Clearance, 'accepted' | 'print' | 'numbers'>;
}

/** Reads and takes on all that a choice's gate asks of a job; what comes first must be done. */
export function clearedOn(state: PlanState, choice: Choice, job: JobInHand): Cleared {
  const cut = { decision: job.decisions[0]!.id, choice, plan: job.plan!, today: new Date(), tired: null };
  const print = printWidths(choice, state.settings);
  const said = { accepted: [], print };
  const first = judgeGate(job, { ...cut, state, said }).evaluation;
  let { anatomy } = state;
  const readings = restsOn(first.verdicts, anatomy).flatMap((target): Reading[] => {
    const at = dimensionAt(anatomy, target);
    const known = at.exists ? at.dimension : null;
    const key = targetKey(target);
    const { value, limit } = known ?? { value: 10, limit: 0.05 };
    if (known) anatomy = withDimension(anatomy, target, { value, limit, basis: { kind: 'readings', ids: [`first ${key}`] } });
    const once = { instrument: 'i', target, value, limit, raw: String(value), tool: 'calliper', person: 'nell', survey: null, corrects: null };
    return [
      { ...once, id: `first ${key}`, at: '2026-01-01T08:00:00.000Z', blind: false },
      { ...once, id: `second ${key}`, at: '2026-01-01T09:00:00.000Z', blind: true },
    ];
  });
  const { evaluation, gate } = judgeGate({ ...job, readings }, { ...cut, state: { ...state, anatomy }, said });
  const accepted = gate.items.flatMap((i) => {
    if (i.ok) return [];
    if (i.kind === 'confirm') return [{ verdict: confirmKey(i.confirm), reason: 'r' }];
    if (i.kind === 'thin') return [{ verdict: i.verdict, reason: 'r' }];
    const taken = i.kind === 'verdict' ? i.verdict : i.kind === 'need' ? needKey(i.need) : null;
    return taken === null ? [] : [{ verdict: overrideKey(taken), reason: 'r' }];
  });
  return { anatomy, readings, given: { accepted, print, numbers: evaluation.verdicts.map((v) => ({ id: v.id, clearance: v.clearance, class: v.class })) } };
}
