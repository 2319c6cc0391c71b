import { idParam, noQuery, pageQuery, pickup } from '@rinnovo/contract';
import type { Pickup } from '@rinnovo/core/part';
import { Router } from 'express';
import Joi from 'joi';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';
import { pageOf, readRoute } from '../http/read.js';
import { demandVersion, writeRoute } from '../http/write.js';

interface Row {
  id: string;
  document: Pickup;
  version: number;
}

/** Every part on the shelf and in instruments, by id. */
export async function allParts(db: Knex): Promise<Readonly<Record<string, Pickup>>> {
  const rows = (await db('parts').orderBy('id').limit(5000)) as Row[];
  return Object.fromEntries(rows.map((r) => [r.id, r.document]));
}

export function partRoutes(db: Knex): Router {
  const router = Router();
  router.get(
    '/',
    readRoute(Joi.object({}), pageQuery, async (_, { after, limit }) => {
      const query = db('parts')
        .orderBy('id')
        .limit(limit + 1);
      if (after !== undefined) void query.whereRaw('id::text > ?', [Buffer.from(after, 'base64url').toString('utf8')]);
      return {
        body: pageOf(
          (await query) as Row[],
          limit,
          (r) => r.id,
          (r) => r.document,
        ),
      };
    }),
  );
  router.get(
    '/:id',
    readRoute(idParam, noQuery, async ({ id }) => {
      const row = (await db('parts').where({ id }).first()) as Row | undefined;
      if (!row) throw new ProblemError('not-found', { detail: 'No part has that id.' });
      return { body: row.document, version: row.version };
    }),
  );
  router.put(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: pickup,
      precondition: 'either',
      run: async ({ params, body }, context) => {
        if (body.id !== params.id) throw new ProblemError('input-invalid', { errors: [{ pointer: '/id', detail: 'must be the id of the address' }] });
        const old = (await context.trx('parts').where({ id: params.id }).forUpdate().first()) as Row | undefined;
        if (old) {
          demandVersion(context, old.version, old.document, body);
          await context
            .trx('parts')
            .where({ id: params.id })
            .update({ document: JSON.stringify(body), version: old.version + 1, write_id: context.writeId });
          return { status: 200, body, version: old.version + 1 };
        }
        if (!context.creating) throw new ProblemError('not-found');
        await context.trx('parts').insert({ id: params.id, document: JSON.stringify(body), write_id: context.writeId });
        return { status: 201, body, version: 1 };
      },
    }),
  );
  return router;
}
