import { noQuery, saveSettings, tool, toolParam, type Shop } from '@rinnovo/contract';
import { settingsWith, type SettingKey } from '@rinnovo/core/operation';
import { isMeasuring, type Tool } from '@rinnovo/core/part';
import { Router } from 'express';
import Joi from 'joi';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';
import { readRoute } from '../http/read.js';
import { demandVersion, writeRoute } from '../http/write.js';
import { letterheadRoutes } from './letterhead.js';
import { localeRoutes } from './locale.js';

/** The shop's settings in force and its tools. */
export async function shopOf(db: Knex): Promise<Shop> {
  const row = (await db('shop').first()) as { own: Partial<Record<SettingKey, number>>; version: number };
  const tools = (await db('tools').orderBy('id').limit(1000)) as { id: string; document: Tool; version: number }[];
  return {
    version: row.version,
    own: row.own,
    settings: settingsWith(row.own),
    tools: tools.map((t) => t.document),
    toolVersions: Object.fromEntries(tools.map((t) => [t.id, t.version])),
  };
}

export function shopRoutes(db: Knex): Router {
  const router = Router();
  router.use('/locale', localeRoutes(db));
  router.use('/letterhead', letterheadRoutes(db));
  router.get(
    '/',
    readRoute(Joi.object({}), noQuery, async () => {
      const body = await shopOf(db);
      return { body, version: body.version };
    }),
  );
  router.put(
    '/settings',
    writeRoute(db, {
      params: Joi.object({}),
      body: saveSettings,
      precondition: 'change',
      run: async ({ body }, context) => {
        await context.trx('shop').forNoKeyUpdate().first();
        const now = await shopOf(context.trx);
        demandVersion(context, now.version, now.own, body.own);
        await context.trx('shop').update({ own: JSON.stringify(body.own), version: now.version + 1, write_id: context.writeId });
        const after = await shopOf(context.trx);
        return { status: 200, body: after, version: after.version };
      },
    }),
  );
  router.put(
    '/tools/:id',
    writeRoute<{ id: string }, Tool>(db, {
      params: toolParam,
      body: tool,
      precondition: 'either',
      run: async ({ params, body }, context) => {
        if (body.id !== params.id) throw new ProblemError('input-invalid', { errors: [{ pointer: '/id', detail: 'must be the id of the address' }] });
        const old = (await context.trx('tools').where({ id: params.id }).forNoKeyUpdate().first()) as { document: Tool; version: number } | undefined;
        const row = { document: JSON.stringify(body), write_id: context.writeId };
        // What rests on the shop is worked out again: its version counts its drawer too.
        await context.trx('shop').increment('version');
        if (old) {
          demandVersion(context, old.version, old.document, body);
          await context
            .trx('tools')
            .where({ id: params.id })
            .update({ ...row, version: old.version + 1 });
          return { status: 200, body, version: old.version + 1 };
        }
        if (!context.creating) throw new ProblemError('not-found');
        await context.trx('tools').insert({ id: params.id, ...row });
        return { status: 201, body, version: 1 };
      },
    }),
  );
  router.delete(
    '/tools/:id',
    writeRoute(db, {
      params: toolParam,
      body: Joi.any(),
      precondition: 'change',
      run: async ({ params }, context) => {
        const old = (await context.trx('tools').where({ id: params.id }).forNoKeyUpdate().first()) as { document: Tool; version: number } | undefined;
        if (!old) throw new ProblemError('not-found', { detail: 'No tool has that id.' });
        demandVersion(context, old.version, old.document, null);
        // readings name what they were taken with: what measures stays
        if (isMeasuring(old.document)) throw new ProblemError('cannot-be', { detail: 'Readings refer to this measuring tool. Retire it instead.' });
        await context.trx('shop').increment('version');
        await context.trx('tools').where({ id: params.id }).delete();
        return { status: 200, body: old.document };
      },
    }),
  );
  return router;
}
