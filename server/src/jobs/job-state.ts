import { instrumentById } from '../instruments/queries.js';
import { surveyedOf } from '@rinnovo/core/survey';
import { operationsOfBench } from '@rinnovo/core/house';
import type { ClearanceRecord, ConsentRecord, Decision, Job, LedgerEntry, PlanRecord, WaiverRecord } from '@rinnovo/contract';
import { choiceOf, type Choice, type PlanState } from '@rinnovo/core/check';
import type { BenchInput, Consent, LoggedStep } from '@rinnovo/core/gate';
import { doneOf, isOwn } from '@rinnovo/core/operation';
import type { PlannedOperation } from '@rinnovo/core/work';
import type { Tool } from '@rinnovo/core/part';
import type { Reading } from '@rinnovo/core/quantity';
import type { Knex } from 'knex';
import { anatomyOf } from '../anatomy/queries.js';
import { clearancesOf, standingClearance } from '../clearances/queries.js';
import { consentsOf, isClients } from '../consents/queries.js';
import { liveDecisions } from '../decisions/queries.js';
import { ProblemError } from '../http/problems.js';
import { ledgerOfJob } from '../ledger/queries.js';
import { changesOfBench, operationsOf, waiversOf } from '../operations/queries.js';
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
  /** In force, oldest first. */
  readonly decisions: readonly Decision[];
  /** As the plan makes them now; what has begun as it was. */
  readonly operations: readonly PlannedOperation[];
  readonly waivers: readonly WaiverRecord[];
  readonly clearances: readonly ClearanceRecord[];
  readonly consents: readonly ConsentRecord[];
  /** Somebody outside the workshop owns the instrument. */
  readonly clients: boolean;
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
  const decisions = await liveDecisions(db, jobId);
  const ids = decisions.map((d) => d.id);
  const rows = [...(await operationsOf(db, ids)).filter(isOwn), ...(await changesOfBench(db, jobId))];
  const ledger = await ledgerOfJob(db, jobId);
  const { fitted } = surveyedOf(anatomy.document, await instrumentById(db, job.instrument));
  const state = { anatomy: anatomy.document, parts, stock: await allStock(db), settings: shop.settings, tools: shop.tools, done: doneOf(rows), fitted };
  return {
    job,
    record,
    revision: anatomy.revision,
    state,
    tools: shop.tools,
    readings: await readingsOf(db, job.instrument),
    decisions,
    operations: operationsOfBench({ operations: rows, choices: choicesOf({ decisions, record }), job: jobId, state, log: ledger.map(logged) }),
    waivers: await waiversOf(db, jobId),
    clearances: await clearancesOf(db, ids),
    consents: await consentsOf(db, ids),
    clients: await isClients(db, job.instrument),
    ledger,
  };
}

/** A job's state as the bench takes it. */
export function benchInput(s: JobState): BenchInput {
  return {
    state: s.state,
    job: s.job.id,
    choices: choicesOf(s),
    operations: s.operations,
    waivers: s.waivers,
    log: s.ledger.map(logged),
    agreed: s.decisions.flatMap((d) => (consentTo(s, d.id) === 'needed' ? [] : [d.id])),
    cleared: s.decisions.filter((d) => standingClearance(s.clearances, s.ledger, d, s.record.plan) !== null).map((d) => d.id),
  };
}

/** A ledger entry as far as the bench is concerned. */
const logged = (l: LedgerEntry): LoggedStep => ({ operation: l.operation, step: l.step, outcome: l.outcome, measured: l.measured?.value ?? null, at: l.at });

/** Was the owner asked about a decision? */
export function consentTo(s: Pick<JobState, 'consents' | 'clients'>, decision: string): Consent {
  if (!s.clients) return 'own';
  return s.consents.some((c) => c.decision === decision) ? 'given' : 'needed';
}

/** What was chosen by each decision in force, as the plan has it now. */
export function choicesOf(s: Pick<JobState, 'decisions' | 'record'>): Readonly<Record<string, Choice>> {
  return Object.fromEntries(s.decisions.map((d) => [d.id, choiceOf(s.record.plan, d.choice) ?? d.chosen]));
}
