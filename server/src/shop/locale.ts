import { noQuery, workshopLocale, type KeptLocale } from '@rinnovo/contract';
import { useLocale, type WorkshopLocale } from '@rinnovo/words';
import { Router } from 'express';
import Joi from 'joi';
import type { Knex } from 'knex';
import { readRoute } from '../http/read.js';
import { demandVersion, writeRoute } from '../http/write.js';

interface Row {
  readonly locale: string;
  readonly time_zone: string;
  readonly currency: string;
  readonly version: number;
}

/** How this workshop writes numbers, dates and money, with the version of the shop's row. */
async function localeOf(db: Knex): Promise<KeptLocale> {
  const { locale, time_zone, currency, version } = (await db('shop').first()) as Row;
  return { locale, timeZone: time_zone, currency, version };
}

/** Sets the program's form of numbers, dates and money to the workshop's. */
export async function useWorkshopLocale(db: Knex): Promise<void> {
  const { locale, timeZone, currency } = await localeOf(db);
  useLocale({ locale, timeZone, currency });
}

/** /api/shop/locale */
export function localeRoutes(db: Knex): Router {
  const router = Router();
  router.get(
    '/',
    readRoute(Joi.object({}), noQuery, async () => {
      const body = await localeOf(db);
      return { body, version: body.version };
    }),
  );
  router.put(
    '/',
    writeRoute<object, WorkshopLocale>(db, {
      params: Joi.object({}),
      body: workshopLocale,
      precondition: 'change',
      run: async ({ body }, context) => {
        await context.trx('shop').forNoKeyUpdate().first();
        const now = await localeOf(context.trx);
        demandVersion(context, now.version, now, body);
        const { locale, timeZone, currency } = body;
        await context.trx('shop').update({ locale, time_zone: timeZone, currency, version: now.version + 1, write_id: context.writeId });
        useLocale(body);
        return { status: 200, body: await localeOf(context.trx), version: now.version + 1 };
      },
    }),
  );
  return router;
}
