import { letterhead, noQuery, type KeptLetterhead, type Letterhead } from '@rinnovo/contract';
import { Router } from 'express';
import Joi from 'joi';
import type { Knex } from 'knex';
import { readRoute } from '../http/read.js';
import { demandVersion, writeRoute } from '../http/write.js';

/** The workshop's name and address, as they stand on its papers. */
export async function letterheadOf(db: Knex): Promise<KeptLetterhead> {
  return (await db('letterhead').first('name', 'address', 'version')) as KeptLetterhead;
}

/** /api/shop/letterhead */
export function letterheadRoutes(db: Knex): Router {
  const router = Router();
  router.get(
    '/',
    readRoute(Joi.object({}), noQuery, async () => {
      const body = await letterheadOf(db);
      return { body, version: body.version };
    }),
  );
  router.put(
    '/',
    writeRoute<object, Letterhead>(db, {
      params: Joi.object({}),
      body: letterhead,
      precondition: 'change',
      run: async ({ body }, context) => {
        await context.trx('letterhead').forNoKeyUpdate().first('version');
        const now = await letterheadOf(context.trx);
        demandVersion(context, now.version, now, body);
        await context.trx('letterhead').update({ ...body, version: now.version + 1, write_id: context.writeId });
        return { status: 200, body: await letterheadOf(context.trx), version: now.version + 1 };
      },
    }),
  );
  return router;
}
