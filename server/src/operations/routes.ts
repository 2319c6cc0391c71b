import { acceptBreak, idParam, reorderWork } from '@rinnovo/contract';
import { brokenRules, inOrder, RULES } from '@rinnovo/core/order';
import { Router } from 'express';
import type { Knex } from 'knex';
import { liveDecisions } from '../decisions/queries.js';
import { ProblemError } from '../http/problems.js';
import { writeRoute } from '../http/write.js';
import { operationsOf, waiversOf } from './queries.js';

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
        const decisions = (await liveDecisions(trx, params.id)).map((d) => d.id);
        if (decisions.length === 0) throw new ProblemError('not-now', { detail: 'No option is chosen yet, so there is no work to order.' });
        await trx('operations').whereIn('decision', decisions).forUpdate().select('id');
        const operations = await operationsOf(trx, decisions);
        const known = new Set(operations.map((o) => o.id));
        if (body.order.length > 0 && (body.order.length !== known.size || body.order.some((id) => !known.has(id)))) {
          throw new ProblemError('cannot-be', { errors: [{ pointer: '/order', detail: 'must name each operation of the job once, or none' }] });
        }
        await trx('operations').whereIn('decision', decisions).update({ rank: null, write_id: writeId });
        for (const [rank, id] of body.order.entries()) await trx('operations').where({ id }).update({ rank });
        return { status: 200, body: { operations: await operationsOf(trx, decisions) } };
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
        const operations = await operationsOf(
          trx,
          (await liveDecisions(trx, body.job)).map((d) => d.id),
        );
        const broken = brokenRules(inOrder(operations, RULES), RULES);
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
