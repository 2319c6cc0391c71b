import type { Job } from '@rinnovo/core/job';
import { partFound } from '@rinnovo/core/house';
import { noQuery, type BuyListLine, type WaitingJob } from '@rinnovo/contract';
import { buyList, type Need } from '@rinnovo/core/order';
import { namesOf, placeOfChoice } from '@rinnovo/words';
import { Router } from 'express';
import Joi from 'joi';
import type { Knex } from 'knex';
import { anatomyOf } from '../anatomy/queries.js';
import { liveDecisions } from '../decisions/queries.js';
import { readRoute } from '../http/read.js';
import { activeJobs } from '../jobs/jobs.js';
import { allParts } from '../parts/queries.js';
import { planOf } from '../plans/queries.js';
import { allStock } from '../stock/queries.js';

/** What the plans of all active jobs need and is not there: /api/buy-list. */
export function buyListRoutes(db: Knex): Router {
  const router = Router();
  router.get(
    '/',
    readRoute(Joi.object({}), noQuery, async () => {
      const jobs = await activeJobs(db);
      const labels = await labelsOf(db, jobs);
      const plans = await Promise.all(jobs.map((j) => neededBy(db, j)));
      const needs = plans.flatMap((p) => p.needs);
      const items = buyList(needs, await allParts(db), await allStock(db)).map((line): BuyListLine => {
        const waiting = plans.flatMap(({ job, places }): readonly (readonly [string, WaitingJob])[] => {
          const held = line.holds.filter((h) => h.job === job.id);
          if (held.length === 0) return [];
          const named = Object.fromEntries(held.map((h) => [h.choice, places.get(h.choice) ?? h.choice]));
          return [[job.id, { title: job.title, instrument: job.instrument, label: labels.get(job.instrument) ?? '', places: named }]];
        });
        return { ...line, jobs: Object.fromEntries(waiting) };
      });
      return { body: { items } };
    }),
  );
  return router;
}

async function labelsOf(db: Knex, jobs: readonly Job[]): Promise<ReadonlyMap<string, string>> {
  const rows = (await db('instruments')
    .whereIn(
      'id',
      jobs.map((j) => j.instrument),
    )
    .select('id', 'label')) as { id: string; label: string }[];
  return new Map(rows.map((r) => [r.id, r.label]));
}

/** What a job's plan needs, and what its places are called. */
interface Needed {
  readonly job: Job;
  readonly needs: readonly Need[];
  readonly places: ReadonlyMap<string, string>;
}

async function neededBy(db: Knex, job: Job): Promise<Needed> {
  const record = await planOf(db, job.id);
  if (!record) return { job, needs: [], places: new Map() };
  const { document } = await anatomyOf(db, job.instrument);
  const decisions = await liveDecisions(db, job.id);
  const { choices } = record.plan;
  const names = namesOf(document, {});
  const needs = choices.map((choice): Need => {
    const decision = decisions.find((d) => d.choice === choice.id);
    return {
      job: job.id,
      choice,
      fitted: choice.part !== null && partFound(document, choice) === choice.part,
      lacks: decision?.options.find((o) => o.id === decision.option)?.missing ?? [],
    };
  });
  return { job, needs, places: new Map(choices.map((c) => [c.id, placeOfChoice(c, names)])) };
}
