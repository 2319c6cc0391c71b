import { idParam, noQuery, stockItem } from '@rinnovo/contract';
import type { StockItem } from '@rinnovo/core/part';
import { Router } from 'express';
import Joi from 'joi';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';
import { readRoute } from '../http/read.js';
import { demandVersion, writeRoute } from '../http/write.js';
import { keptStock, MOST_STOCK, type StockRow } from './queries.js';

/** What lies in the drawers: how many, where. */
export function stockRoutes(db: Knex): Router {
  const router = Router();
  router.get(
    '/',
    readRoute(Joi.object({}), noQuery, async () => {
      const rows = (await db('stock').orderBy('id').limit(MOST_STOCK)) as StockRow[];
      return { body: { items: rows.map(keptStock) } };
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
        const { trx, writeId } = context;
        const old = (await trx('stock').where({ id: params.id }).forUpdate().first()) as StockRow | undefined;
        if (old) demandVersion(context, old.version, keptStock(old), body);
        else if (!context.creating) throw new ProblemError('not-found', { detail: 'Nothing in the drawers has that id.' });
        if (body.kind === 'part' && !((await trx('parts').where({ id: body.part }).first('id')) as object | undefined))
          throw new ProblemError('cannot-be', { errors: [{ pointer: '/part', detail: 'no part on the shelf has that id' }] });
        const row: StockRow = { id: params.id, document: body, version: (old?.version ?? 0) + 1 };
        const written = { document: JSON.stringify(body), version: row.version, write_id: writeId };
        if (old) await trx('stock').where({ id: params.id }).update(written);
        else await trx('stock').insert({ id: params.id, ...written });
        return { status: old ? 200 : 201, body: keptStock(row), version: row.version };
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
        const old = (await context.trx('stock').where({ id: params.id }).forUpdate().first()) as StockRow | undefined;
        if (!old) throw new ProblemError('not-found', { detail: 'Nothing in the drawers has that id.' });
        demandVersion(context, old.version, keptStock(old), null);
        await context.trx('stock').where({ id: params.id }).delete();
        return { status: 200, body: keptStock(old) };
      },
    }),
  );
  return router;
}
