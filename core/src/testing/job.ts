import { choiceOf, type Choice, type Plan, type PlanState } from '../check/index.js';
import { confirmKey, overrideKey, printWidths, restsOn } from '../gate/index.js';
import { dimensionAt, knownAt, type Anatomy } from '../instrument/index.js';
import { targetKey, type Reading, type Target } from '../quantity/index.js';
import { noBench } from './work.js';
import type { Clearance, Decision, JobInHand, LedgerEntry } from '../job/index.js';
import { plainPlan } from './plan.js';
import { needKey } from '../work/index.js';

/** A decision on a choice, taken under the id of the choice. */
export function decisionOn(chosen: Choice, more: Partial<Decision> = {}): Decision {
  return {
    id: chosen.id,
    job: 'j',
    option: 'asIs',
    reason: 'r',
    person: 'p',
    at: '2026-01-01T00:00:00Z',
    planVersion: 1,
    revisions: knownAt({ anatomy: 1 }),
    choice: chosen.id,
    chosen,
    options: [],
    undoneAt: null,
    ...more,
  };
}

/** A job of the workshop's own in which every choice of a plan is decided and nothing has begun; its operations as the plan makes them. */
export function jobOf(state: PlanState, plan: Plan = plainPlan(), more: Partial<JobInHand> = {}): JobInHand {
  const decisions = plan.choices.map((c) => decisionOn(c));
  const choices = Object.fromEntries(decisions.map((d) => [d.id, choiceOf(plan, d.choice)!]));
  const operations = noBench.operationsOfBench({ operations: [], choices, job: 'j', state, log: [] });
  return {
    id: 'j',
    plan,
    decisions,
    operations,
    waivers: [],
    clearances: [],
    consents: [],
    owner: { clients: false, changed: null },
    technicians: 1,
    ledger: [],
    readings: [],
    unlooked: [],
    ...more,
  };
}

/** A clearance of a choice as it stands, for the decision of the same name. */
export function clearanceOf(chosen: Choice, more: Partial<Clearance> = {}): Clearance {
  return {
    id: 'c',
    job: 'j',
    decision: chosen.id,
    planVersion: 1,
    chosen,
    revisions: knownAt({ anatomy: 1 }),
    accepted: [],
    print: null,
    numbers: [],
    person: 'p',
    at: '2026-01-02T00:00:00Z',
    ...more,
  };
}

/** Two readings of each target, the later one blind, as it is known on an instrument; of what is only drawn, 10 mm. */
export function readTwice(anatomy: Anatomy, targets: readonly Target[]): readonly Reading[] {
  return targets.flatMap((target) => {
    const at = dimensionAt(anatomy, target);
    const { value, limit } = at.exists && at.dimension ? at.dimension : { value: 10, limit: 0.05 };
    const once = { instrument: 'i', target, value, limit, raw: String(value), tool: 'calliper', person: 'p', survey: null, corrects: null };
    return [
      { ...once, id: 'r1', at: '2026-01-01T08:00:00Z', blind: false },
      { ...once, id: `r2 ${targetKey(target)}`, at: '2026-01-01T09:00:00Z', blind: true },
    ];
  });
}

/** A job with a decision on a choice read twice, and cleared as it stands; what may be taken on is. */
export function clearedJob(job: JobInHand, state: PlanState, choice: Choice): JobInHand {
  const cut = { decision: choice.id, choice, plan: job.plan!, state, today: new Date('2026-01-02T00:00:00Z'), tired: null };
  const print = printWidths(choice, state.settings);
  const { evaluation } = noBench.judgeGate(job, { ...cut, said: { accepted: [], print } });
  const read = { ...job, readings: readTwice(state.anatomy, restsOn(evaluation.verdicts, state.anatomy)) };
  const { items } = noBench.judgeGate(read, { ...cut, said: { accepted: [], print } }).gate;
  const accepted = items.flatMap((i) => {
    if (i.ok) return [];
    if (i.kind === 'confirm') return [{ verdict: confirmKey(i.confirm), reason: 'r' }];
    if (i.kind === 'thin') return [{ verdict: i.verdict, reason: 'r' }];
    const taken = i.kind === 'verdict' ? i.verdict : i.kind === 'need' ? needKey(i.need) : null;
    return taken === null ? [] : [{ verdict: overrideKey(taken), reason: 'r' }];
  });
  const numbers = evaluation.verdicts.map(({ id, clearance, class: is }) => ({ id, clearance, class: is }));
  return { ...read, clearances: [clearanceOf(choice, { accepted, print, numbers })] };
}

/** A step that was logged. */
export function entryOf(operation: string, step: string, more: Partial<LedgerEntry> = {}): LedgerEntry {
  return {
    id: `${operation} ${step}`,
    instrument: 'i',
    job: 'j',
    operation,
    kind: operation,
    step,
    outcome: 'done',
    note: '',
    minutes: null,
    wrong: null,
    measured: null,
    numbers: {},
    before: knownAt({ anatomy: 1 }),
    after: knownAt({ anatomy: 1 }),
    person: 'p',
    done: null,
    at: '2026-01-03T00:00:00Z',
    unjudged: null,
    takenBack: null,
    ...more,
  };
}
