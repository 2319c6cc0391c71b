import { isIrreversible, isThere } from '@rinnovo/core/house';
import { idParam, noQuery, savePlan } from '@rinnovo/contract';
import { choiceOf, sameChoice, type Plan } from '@rinnovo/core/check';
import { ASPECTS, type Anatomy } from '@rinnovo/core/instrument';
import { hasStarted, isOwn } from '@rinnovo/core/operation';
import { Router } from 'express';
import type { Knex } from 'knex';
import { anatomyOf, revisionsOf } from '../anatomy/queries.js';
import { inThread } from '../sums/pool.js';
import { ProblemError } from '../http/problems.js';
import { readRoute } from '../http/read.js';
import { lockJob } from '../db/locks.js';
import { demandVersion, writeRoute } from '../http/write.js';
import { allParts } from '../parts/queries.js';
import { shopOf } from '../shop/shop.js';
import { liveDecisions } from '../decisions/queries.js';
import { loadJobState } from '../jobs/job-state.js';
import { keepOperations, operationsOf } from '../operations/queries.js';
import { keepPlan, planOf } from './queries.js';

/** Routes below /api/jobs/:id/plan. */
export function planRoutes(db: Knex): Router {
  const router = Router({ mergeParams: true });
  router.get(
    '/',
    readRoute(idParam, noQuery, async ({ id }) => {
      const record = await planOf(db, id);
      if (!record) throw new ProblemError('not-found', { detail: 'This job has no plan yet.' });
      return { body: record, version: record.version };
    }),
  );
  router.put(
    '/',
    writeRoute(db, {
      params: idParam,
      body: savePlan,
      precondition: 'either',
      run: async ({ params, body }, context) => {
        const instrument = await lockJob(context.trx, params.id);
        const old = await planOf(context.trx, params.id);
        if (old) demandVersion(context, old.version, old, body);
        else if (!context.creating) throw new ProblemError('not-found', { detail: 'This job has no plan yet.' });
        if (old) await refuseOnceCut(context.trx, params.id, old.plan, body.plan);
        const now = await anatomyOf(context.trx, instrument, body.revisions.anatomy);
        const known = await revisionsOf(context.trx, instrument);
        if (ASPECTS.some((aspect) => body.revisions[aspect] > known[aspect]))
          throw new ProblemError('not-found', { detail: 'The instrument has no such revision.', current: known });
        await refuseWhatCannotBeEvaluated(context.trx, now.document, body.plan);
        const record = await keepPlan(context.trx, {
          job: params.id,
          plan: body.plan,
          revisions: body.revisions,
          version: (old?.version ?? 0) + 1,
          writeId: context.writeId,
        });
        // work that has not begun is made again from the plan
        if (old) await keepOperations(context.trx, (await loadJobState(context.trx, params.id)).operations.filter(isOwn), context.writeId);
        return { status: old ? 200 : 201, body: record, version: record.version };
      },
    }),
  );
  return router;
}

/** Once wood is cut for a choice it stays what was cut: another way on is another decision. */
async function refuseOnceCut(trx: Knex.Transaction, job: string, old: Plan, next: Plan): Promise<void> {
  const decisions = await liveDecisions(trx, job);
  const changed = decisions.filter(({ choice }) => {
    const [was, is] = [choiceOf(old, choice), choiceOf(next, choice)];
    return !was || !is || !sameChoice(was, is);
  });
  const operations = await operationsOf(
    trx,
    changed.map((d) => d.id),
  );
  const cut = operations.filter((o) => isIrreversible(o.kind) && hasStarted(o));
  if (cut.length > 0) throw new ProblemError('work-started', { detail: 'Wood is cut. The plan cannot change.', current: cut });
}

/** Names the first choice that no verdict can be made of: its place has gone, or its part. */
async function refuseWhatCannotBeEvaluated(trx: Knex.Transaction, anatomy: Anatomy, plan: Plan): Promise<void> {
  const parts = await allParts(trx);
  const { settings, tools } = await shopOf(trx);
  for (const [i, choice] of plan.choices.entries()) {
    const wrong = [choice.part, ...choice.alternatives].find((id) => id !== null && !parts[id]);
    if (wrong !== undefined)
      throw new ProblemError('cannot-be', { errors: [{ pointer: `/plan/choices/${i}/part`, detail: 'no part on the shelf has that id' }] });
    if (!isThere(anatomy, choice)) {
      throw new ProblemError('cannot-be', { errors: [{ pointer: `/plan/choices/${i}`, detail: 'its place no longer exists on this instrument' }] });
    }
    const why = await inThread('cannotBe', { state: { anatomy, parts, stock: [], settings, tools, done: new Set(), fitted: [] }, choice });
    if (why !== null) throw new ProblemError('cannot-be', { errors: [{ pointer: `/plan/choices/${i}`, detail: why }] });
  }
}
