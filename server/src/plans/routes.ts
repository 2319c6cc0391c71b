import { idParam, noQuery, savePlan } from '@rinnovo/contract';
import { evaluatePlan } from '@rinnovo/core/check';
import { hasStarted, OPERATIONS } from '@rinnovo/core/operation';
import { Router } from 'express';
import type { Knex } from 'knex';
import { anatomyOf } from '../anatomy/queries.js';
import { ProblemError } from '../http/problems.js';
import { readRoute } from '../http/read.js';
import { demandVersion, writeRoute } from '../http/write.js';
import { jobById } from '../jobs/jobs.js';
import { allParts } from '../parts/queries.js';
import { shopOf } from '../shop/shop.js';
import { liveDecision } from '../decisions/queries.js';
import { operationsOf } from '../operations/queries.js';
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
        const job = await jobById(context.trx, params.id);
        const old = await planOf(context.trx, params.id, true);
        if (old) demandVersion(context, old.version, old, body);
        else if (!context.creating) throw new ProblemError('not-found', { detail: 'This job has no plan yet.' });
        await refuseOnceCut(context.trx, params.id);
        const now = await anatomyOf(context.trx, job.instrument, body.revision);
        await refuseWhatCannotBeEvaluated(context.trx, now.document, body.plan);
        const record = await keepPlan(context.trx, params.id, body.plan, body.revision, (old?.version ?? 0) + 1, context.writeId);
        return { status: old ? 200 : 201, body: record, version: record.version };
      },
    }),
  );
  return router;
}

/** Once wood is cut the plan stays what was cut: another way on is another decision. */
async function refuseOnceCut(trx: Knex.Transaction, job: string): Promise<void> {
  const decision = await liveDecision(trx, job);
  const operations = decision ? await operationsOf(trx, decision.id) : [];
  const cut = operations.filter((o) => OPERATIONS[o.kind].irreversible && hasStarted(o));
  if (cut.length > 0) throw new ProblemError('work-started', { detail: 'Wood is cut: the plan stays.', current: cut });
}

async function refuseWhatCannotBeEvaluated(
  trx: Knex.Transaction,
  anatomy: Parameters<typeof evaluatePlan>[0]['anatomy'],
  plan: Parameters<typeof evaluatePlan>[1],
): Promise<void> {
  const parts = await allParts(trx);
  if (plan.part !== null && !parts[plan.part])
    throw new ProblemError('cannot-be', { errors: [{ pointer: '/plan/part', detail: 'no part on the shelf has that id' }] });
  const { settings } = await shopOf(trx);
  try {
    evaluatePlan({ anatomy, parts, stock: [], settings, leadsWanted: plan.leadsWanted }, plan);
  } catch (error) {
    if (error instanceof RangeError) throw new ProblemError('cannot-be', { errors: [{ pointer: '/plan', detail: error.message }] });
    throw error;
  }
}
