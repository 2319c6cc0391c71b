import { choiceOf, type Choice, type Plan, type PlanState } from '../check/index.js';
import { knownAt } from '../instrument/index.js';
import { noBench } from './work.js';
import type { Clearance, Decision, JobInHand, LedgerEntry } from '../job/index.js';
import { plainPlan } from './plan.js';

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
  return { id: 'j', plan, decisions, operations, waivers: [], clearances: [], consents: [], clients: false, ledger: [], readings: [], ...more };
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
    at: '2026-01-03T00:00:00Z',
    ...more,
  };
}
