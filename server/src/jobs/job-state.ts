import type { ClearanceRecord, Decision, Job, LedgerEntry, PlanRecord, WaiverRecord } from '@rinnovo/contract';
import type { PlanState } from '@rinnovo/core/check';
import type { BenchInput } from '@rinnovo/core/gate';
import type { Operation } from '@rinnovo/core/operation';
import { RULES } from '@rinnovo/core/order';
import type { Tool } from '@rinnovo/core/part';
import type { Reading } from '@rinnovo/core/quantity';
import type { Knex } from 'knex';
import { anatomyOf } from '../anatomy/queries.js';
import { clearancesOf, standingClearance } from '../clearances/queries.js';
import { liveDecision } from '../decisions/queries.js';
import { ProblemError } from '../http/problems.js';
import { ledgerOfJob } from '../ledger/queries.js';
import { operationsOf, waiversOf } from '../operations/queries.js';
import { allParts } from '../parts/queries.js';
import { planOf } from '../plans/queries.js';
import { readingsOf } from '../readings/queries.js';
import { shopOf } from '../shop/shop.js';
import { allStock } from '../stock/queries.js';
import { jobById } from './jobs.js';

/** Everything of a job that a command recomputes from. */
export interface JobState {
  readonly job: Job;
  readonly revision: number;
  readonly record: PlanRecord;
  readonly state: PlanState;
  readonly tools: readonly Tool[];
  readonly readings: readonly Reading[];
  readonly decision: Decision | null;
  readonly operations: readonly Operation[];
  readonly waivers: readonly WaiverRecord[];
  readonly clearances: readonly ClearanceRecord[];
  readonly ledger: readonly LedgerEntry[];
}

/** Loads a job for a command; throws not-found when it has no plan yet. */
export async function loadJobState(db: Knex, jobId: string): Promise<JobState> {
  const job = await jobById(db, jobId);
  const record = await planOf(db, jobId);
  if (!record) throw new ProblemError('not-found', { detail: 'This job has no plan yet.' });
  const anatomy = await anatomyOf(db, job.instrument);
  const parts = await allParts(db);
  const shop = await shopOf(db);
  const decision = await liveDecision(db, jobId);
  return {
    job,
    record,
    revision: anatomy.revision,
    state: { anatomy: anatomy.document, parts, stock: await allStock(db), settings: shop.settings, leadsWanted: record.plan.leadsWanted },
    tools: shop.tools,
    readings: await readingsOf(db, job.instrument),
    decision,
    operations: decision ? await operationsOf(db, decision.id) : [],
    waivers: await waiversOf(db, jobId),
    clearances: decision ? await clearancesOf(db, decision.id) : [],
    ledger: await ledgerOfJob(db, jobId),
  };
}

/** A job's state as the bench takes it. */
export function benchInput(s: JobState): BenchInput {
  return {
    state: s.state,
    plan: s.record.plan,
    tools: s.tools,
    operations: s.operations,
    rules: RULES,
    waivers: s.waivers,
    log: s.ledger.map((l) => ({ operation: l.operation, step: l.step, outcome: l.outcome, measured: l.measured?.value ?? null, at: l.at })),
    clear: standingClearance(s.clearances, s.ledger, s.record.version) !== null,
  };
}
