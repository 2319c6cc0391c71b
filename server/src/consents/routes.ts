import { idParam, keepConsent } from '@rinnovo/contract';
import { priceWithWork } from '@rinnovo/core/remedy';
import { Router } from 'express';
import type { Knex } from 'knex';
import { decisionById } from '../decisions/queries.js';
import { ProblemError } from '../http/problems.js';
import { lockJob } from '../db/locks.js';
import { writeRoute } from '../http/write.js';
import { shopOf } from '../shop/shop.js';
import { consentsOf } from './queries.js';

/** /api/consents/:id: what the owner agreed to; the server keeps its own price and options. */
export function consentRoutes(db: Knex): Router {
  const router = Router();
  router.put(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: keepConsent,
      precondition: 'create',
      run: async ({ params, body }, { trx, person, writeId }) => {
        const held = await decisionById(trx, body.decision);
        if (held) await lockJob(trx, held.job);
        const decision = await decisionById(trx, body.decision);
        if (!decision || decision.undoneAt) throw new ProblemError('not-found', { detail: 'No decision in force has that id.' });
        const chosen = decision.options.find((o) => o.id === decision.option);
        const { settings } = await shopOf(trx);
        await trx('consents').insert({
          id: params.id,
          job: decision.job,
          decision: decision.id,
          how: body.how,
          said: body.said,
          price: priceWithWork(chosen?.price ?? 0, chosen?.minutes ?? 0, settings),
          options: JSON.stringify(decision.options.map((o) => ({ id: o.id, kind: o.kind, price: priceWithWork(o.price, o.minutes, settings) }))),
          person,
          write_id: writeId,
        });
        return { status: 201, body: (await consentsOf(trx, [decision.id])).find((c) => c.id === params.id) };
      },
    }),
  );
  return router;
}
