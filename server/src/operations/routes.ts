import { brokenRules } from '@rinnovo/core/house';
import { acceptBreak, idParam, reorderWork } from '@rinnovo/contract';
import { isOwn } from '@rinnovo/core/operation';
import { Router } from 'express';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';
import { lockJob } from '../db/locks.js';
import { writeRoute } from '../http/write.js';
import { loadJobState } from '../jobs/job-state.js';
import { keepOperations, waiversOf } from './queries.js';

/** /api/jobs/:id/order and /api/waivers/:id. */
export function orderRoutes(db: Knex): Router {
  const router = Router();
  router.put(
    '/jobs/:id/order',
    writeRoute(db, {
      params: idParam,
      body: reorderWork,
      precondition: 'create',
      run: async ({ params, body }, { trx, writeId }) => {
        await lockJob(trx, params.id);
        const { operations } = await loadJobState(trx, params.id);
        if (operations.length === 0) throw new ProblemError('not-now', { detail: 'No option is chosen yet, so there is no work to order.' });
        const known = new Set(operations.map((o) => o.id));
        if (body.order.length > 0 && (body.order.length !== known.size || body.order.some((id) => !known.has(id)))) {
          throw new ProblemError('cannot-be', { errors: [{ pointer: '/order', detail: 'must name each operation of the job once, or none' }] });
        }
        const rankOf = (id: string): number | null => (body.order.length > 0 ? body.order.indexOf(id) : null);
        const ranked = operations.map((o) => ({ ...o, rank: rankOf(o.id) }));
        await keepOperations(trx, ranked.filter(isOwn), writeId);
        for (const { id, rank } of ranked) await trx('operations').where({ id }).update({ rank, write_id: writeId });
        return { status: 200, body: { operations: (await loadJobState(trx, params.id)).operations } };
      },
    }),
  );
  router.put(
    '/waivers/:id',
    writeRoute(db, {
      params: idParam,
      body: acceptBreak,
      precondition: 'create',
      run: async ({ params, body }, { trx, person, writeId }) => {
        await lockJob(trx, body.job);
        const { operations } = await loadJobState(trx, body.job);
        const broken = brokenRules(operations);
        const meant = broken.some((b) => b.rule === body.rule && b.operations.every((o) => body.operations.includes(o)));
        if (!meant) throw new ProblemError('cannot-be', { errors: [{ pointer: '/rule', detail: 'this order does not break that rule' }] });
        await trx('waivers').insert({
          id: params.id,
          job: body.job,
          rule: body.rule,
          operations: [...body.operations],
          reason: body.reason,
          person,
          write_id: writeId,
        });
        return { status: 201, body: (await waiversOf(trx, body.job)).find((w) => w.id === params.id) };
      },
    }),
  );
  return router;
}
