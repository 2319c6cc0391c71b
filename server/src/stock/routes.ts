import { idParam, noQuery, stockItem } from '@rinnovo/contract';
import type { StockItem } from '@rinnovo/core/part';
import { Router } from 'express';
import Joi from 'joi';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';
import { readRoute } from '../http/read.js';
import { demandVersion, writeRoute } from '../http/write.js';
import { countTo, keptStock, lockStock, stockRows, type StockRow } from './queries.js';

/** What lies in the drawers: how many, where. */
export function stockRoutes(db: Knex): Router {
  const router = Router();
  router.get(
    '/',
    readRoute(Joi.object({}), noQuery, async () => {
      return { body: { items: (await stockRows(db)).map(keptStock) } };
    }),
  );
  router.put(
    '/:id',
    writeRoute<{ id: string }, StockItem>(db, {
      params: idParam,
      body: stockItem,
      precondition: 'either',
      run: async ({ params, body }, context) => {
        if (body.id !== params.id) throw new ProblemError('input-invalid', { errors: [{ pointer: '/id', detail: 'must be the id of the address' }] });
        const { trx, person, writeId } = context;
        const old = await lockStock(trx, params.id);
        if (old && !old.archived) demandVersion(context, old.version, keptStock(old), body);
        else if (!context.creating) throw new ProblemError('not-found', { detail: 'Nothing in the drawers has that id.' });
        if (body.kind === 'part' && !((await trx('parts').where({ id: body.part }).first('id')) as object | undefined))
          throw new ProblemError('cannot-be', { errors: [{ pointer: '/part', detail: 'no part on the shelf has that id' }] });
        const { quantity, ...document } = body;
        const written = { document: JSON.stringify(document), version: (old?.version ?? 0) + 1, archived: false, write_id: writeId };
        if (old) await trx('stock').where({ id: params.id }).update(written);
        else await trx('stock').insert({ id: params.id, ...written });
        await countTo(trx, { item: params.id, amount: quantity - (old?.quantity ?? 0), why: 'counted', person, write_id: writeId });
        const kept = keptStock((await lockStock(trx, params.id)) as StockRow);
        return { status: old && !old.archived ? 200 : 201, body: kept, version: kept.version };
      },
    }),
  );
  router.delete(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: Joi.any(),
      precondition: 'change',
      run: async ({ params }, context) => {
        const old = await lockStock(context.trx, params.id);
        if (!old || old.archived) throw new ProblemError('not-found', { detail: 'Nothing in the drawers has that id.' });
        demandVersion(context, old.version, keptStock(old), null);
        await context
          .trx('stock')
          .where({ id: params.id })
          .update({ archived: true, version: old.version + 1 });
        return { status: 200, body: keptStock(old) };
      },
    }),
  );
  return router;
}
