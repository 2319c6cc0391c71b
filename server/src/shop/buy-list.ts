import { noQuery, type BuyListLine, type Job } from '@rinnovo/contract';
import type { Choice } from '@rinnovo/core/check';
import { buyList, type Need } from '@rinnovo/core/order';
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
      const needs = (await Promise.all(jobs.map((j) => needsOf(db, j)))).flat();
      const items = buyList(needs, await allParts(db), await allStock(db)).map((line): BuyListLine => {
        const waiting = jobs.filter((j) => line.holds.some((h) => h.job === j.id));
        return {
          ...line,
          jobs: Object.fromEntries(waiting.map((j) => [j.id, { title: j.title, instrument: j.instrument, label: labels.get(j.instrument) ?? '' }])),
        };
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

async function needsOf(db: Knex, job: Job): Promise<readonly Need[]> {
  const record = await planOf(db, job.id);
  if (!record) return [];
  const { document } = await anatomyOf(db, job.instrument);
  const decisions = await liveDecisions(db, job.id);
  const sits = (c: Choice): string | null => {
    if (c.kind === 'pickup') return document.positions.find((p) => p.id === c.position)?.part ?? null;
    if (c.place.on === 'face') return document.holes.find((h) => h.id === c.id)?.part ?? null;
    const { feature } = c.place;
    return [...document.holes, ...document.cavities, ...document.plates].find((f) => f.id === feature)?.part ?? null;
  };
  return record.plan.choices.map((choice) => {
    const decision = decisions.find((d) => d.choice === choice.id);
    return {
      job: job.id,
      choice,
      fitted: choice.part !== null && sits(choice) === choice.part,
      lacks: decision?.options.find((o) => o.id === decision.option)?.lacks ?? [],
    };
  });
}
