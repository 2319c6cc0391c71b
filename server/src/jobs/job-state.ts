import { benchNow, operationsOfBench } from '@rinnovo/core/house';
import type { PlanState } from '@rinnovo/core/check';
import type { Bench } from '@rinnovo/core/gate';
import { benchInput, choicesOf, logged, standing, type Job, type JobInHand, type PlanRecord } from '@rinnovo/core/job';
import type { Revisions } from '@rinnovo/core/instrument';
import { doneOf, isOwn } from '@rinnovo/core/operation';
import { surveyedOf } from '@rinnovo/core/survey';
import type { Knex } from 'knex';
import { anatomyOf, revisionsOf } from '../anatomy/queries.js';
import { clearancesOf } from '../clearances/queries.js';
import { consentsOf } from '../consents/queries.js';
import { liveDecisions } from '../decisions/queries.js';
import { ProblemError } from '../http/problems.js';
import { ownershipOf } from '../instruments/owner-changes.js';
import { instrumentById } from '../instruments/queries.js';
import { ledgerOfJob, unlookedAt } from '../ledger/queries.js';
import { changesOfBench, operationsOf, waiversOf, workByHand } from '../operations/queries.js';
import { allParts } from '../parts/queries.js';
import { planOf } from '../plans/queries.js';
import { readingsOf } from '../readings/queries.js';
import { shopOf } from '../shop/shop.js';
import { allStock } from '../stock/queries.js';
import { jobById } from './jobs.js';

/** Everything of a job that a command recomputes from. */
export interface JobState extends JobInHand {
  readonly job: Job;
  /** Of its instrument as it is now. */
  readonly revisions: Revisions;
  readonly record: PlanRecord;
  readonly state: PlanState;
}

/** Loads a job for a command; throws not-found when it has no plan yet. */
export async function loadJobState(db: Knex, id: string): Promise<JobState> {
  const job = await jobById(db, id);
  const record = await planOf(db, id);
  if (!record) throw new ProblemError('not-found', { detail: 'This job has no plan yet.' });
  const { plan } = record;
  const anatomy = await anatomyOf(db, job.instrument);
  const parts = await allParts(db);
  const shop = await shopOf(db);
  const decisions = await liveDecisions(db, id);
  const ids = decisions.map((d) => d.id);
  const rows = [...(await operationsOf(db, ids)).filter(isOwn), ...(await changesOfBench(db, id)), ...(await workByHand(db, id))];
  const ledger = standing(await ledgerOfJob(db, id));
  const { fitted } = surveyedOf(anatomy.document, await instrumentById(db, job.instrument));
  const state = { anatomy: anatomy.document, parts, stock: await allStock(db), settings: shop.settings, tools: shop.tools, done: doneOf(rows), fitted };
  return {
    id,
    job,
    record,
    plan,
    revisions: await revisionsOf(db, job.instrument),
    state,
    readings: await readingsOf(db, job.instrument),
    decisions,
    operations: operationsOfBench({ operations: rows, choices: choicesOf(decisions, plan), job: id, state, log: ledger.map(logged) }),
    waivers: await waiversOf(db, id),
    clearances: await clearancesOf(db, ids),
    consents: await consentsOf(db, ids),
    owner: await ownershipOf(db, id),
    technicians: Number(((await db('people').where({ role: 'technician' }).count('* as n').first()) as { n: string }).n),
    ledger,
    unlooked: await unlookedAt(db, job.instrument),
  };
}

/** A job as its facts say it stands, without what only the server has of it: what a thread is handed. */
export function inHand(s: JobState): JobInHand {
  const { id, plan, decisions, operations, waivers, clearances, consents, owner, technicians, ledger, readings, unlooked } = s;
  return { id, plan, decisions, operations, waivers, clearances, consents, owner, technicians, ledger, readings, unlooked };
}

/** What is to be done now on a job's bench. */
export const benchOf = (s: JobState): Bench => benchNow({ ...benchInput(s), state: s.state });
