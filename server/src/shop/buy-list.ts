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
import { allParts } from '../parts/queries.js';
import { planOf } from '../plans/queries.js';
import { allStock } from '../stock/queries.js';

/** What the plans of all active jobs need and is not there: /api/buy-list. */
export function buyListRoutes(db: Knex): Router {
  const router = Router();
  router.get(
    '/',
    readRoute(Joi.object({}), noQuery, async () => {
      const jobs = await needsOfJobs(db);
      const all = jobs.flatMap(({ job, needs }) => needs.map((n): Need => ({ ...n, job })));
      const byId = new Map(jobs.map((j) => [j.job, j]));
      const items = buyList(all, await allParts(db), await allStock(db)).map((line): BuyListLine => {
        const waiting = new Map<string, WaitingJob>();
        for (const { job, choice } of line.holds) {
          const of = byId.get(job);
          if (!of) continue;
          const places = { ...waiting.get(job)?.places, [choice]: of.needs.find((n) => n.choice.id === choice)?.place ?? choice };
          waiting.set(job, { title: of.title, instrument: of.instrument, label: of.label, places });
        }
        return { ...line, jobs: Object.fromEntries(waiting) };
      });
      return { body: { items } };
    }),
  );
  return router;
}

/** What one choice needs, and what its place is called. */
type KeptNeed = Omit<Need, 'job'> & { readonly place: string };

interface JobNeeds {
  readonly job: string;
  readonly title: string;
  readonly instrument: string;
  readonly label: string;
  readonly needs: readonly KeptNeed[];
}

/** Of which state of plan, instrument and decisions needs were worked out: another state, another key. */
const STATE_OF_JOB = `concat_ws(' ', p.version,
  (SELECT max(r.revision) FROM revisions r WHERE r.instrument = j.instrument AND r.aspect = 'anatomy'),
  (SELECT concat_ws(' ', count(*), max(d.at), count(d.undone_at)) FROM decisions d WHERE d.job = j.id))`;

/** What every active job needs: as it was kept, where nothing has changed since; the rest is worked out and kept. */
async function needsOfJobs(db: Knex): Promise<readonly JobNeeds[]> {
  const rows = (await db('jobs as j')
    .join('plans as p', 'p.job', 'j.id')
    .join('instruments as i', 'i.id', 'j.instrument')
    .leftJoin('needs as n', 'n.job', 'j.id')
    .where('j.active', true)
    .orderBy(['j.title', 'j.id'])
    .select('j.id as job', 'j.title', 'j.instrument', 'i.label', 'n.of', 'n.needs')
    .select(db.raw(`${STATE_OF_JOB} as now`))) as (Omit<JobNeeds, 'needs'> & {
    readonly of: string | null;
    readonly now: string;
    readonly needs: readonly KeptNeed[] | null;
  })[];
  const done: JobNeeds[] = [];
  for (const { of, now, needs, ...job } of rows) {
    if (needs && of === now) {
      done.push({ ...job, needs });
      continue;
    }
    const fresh = await neededBy(db, job.job, job.instrument);
    await db('needs')
      .insert({ job: job.job, of: now, needs: JSON.stringify(fresh) })
      .onConflict('job')
      .merge();
    done.push({ ...job, needs: fresh });
  }
  return done;
}

async function neededBy(db: Knex, job: string, instrument: string): Promise<readonly KeptNeed[]> {
  const record = await planOf(db, job);
  if (!record) return [];
  const { document } = await anatomyOf(db, instrument);
  const decisions = await liveDecisions(db, job);
  const names = namesOf(document, {});
  return record.plan.choices.map((choice): KeptNeed => {
    const decision = decisions.find((d) => d.choice === choice.id);
    const { id, part, returns, count } = choice;
    return {
      choice: { id, part, ...(returns ? { returns } : {}), ...(count === undefined ? {} : { count }) },
      fitted: part !== null && partFound(document, choice) === part,
      lacks: decision?.options.find((o) => o.id === decision.option)?.missing ?? [],
      place: placeOfChoice(choice, names),
    };
  });
}
