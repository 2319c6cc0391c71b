import { findQuery, idParam, instrument as instrumentSchema, noQuery, plainInstrument } from '@rinnovo/contract';
import { Router } from 'express';
import Joi from 'joi';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';
import { afterKey, keyOf, pageOf, readRoute } from '../http/read.js';
import { demandVersion, writeRoute } from '../http/write.js';
import { noteOwner } from './owner-changes.js';
import { instrumentById, instrumentsAfter, type InstrumentRow } from './queries.js';

export function instrumentRoutes(db: Knex): Router {
  const router = Router();
  router.get(
    '/',
    readRoute(Joi.object({}), findQuery, async (_, { after, limit, find, archived }) => {
      const key = afterKey(after, 'text', 'id');
      const rows = await instrumentsAfter(db, { find, archived, after: key, limit });
      return {
        body: pageOf(
          rows,
          limit,
          (r) => keyOf(r.label, r.id),
          (r) => r,
        ),
      };
    }),
  );
  router.get(
    '/:id',
    readRoute(idParam, noQuery, async ({ id }) => {
      const row = await instrumentById(db, id);
      return { body: plainInstrument(row), version: row.version };
    }),
  );
  router.put(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: instrumentSchema,
      precondition: 'either',
      run: async ({ params, body }, context) => {
        if (body.id !== params.id) throw new ProblemError('input-invalid', { errors: [{ pointer: '/id', detail: 'must be the id of the address' }] });
        const old = (await context.trx<InstrumentRow>('instruments').where({ id: params.id }).forNoKeyUpdate().first()) as InstrumentRow | undefined;
        if (old) {
          demandVersion(context, old.version, plainInstrument(old), body);
          await context
            .trx('instruments')
            .where({ id: params.id })
            .update({ ...body, identity: JSON.stringify(body.identity), version: old.version + 1, write_id: context.writeId });
          const { writeId, person, trx } = context;
          if (old.owner !== body.owner) await noteOwner(trx, { instrument: params.id, was: old.owner, now: body.owner, person, writeId });
          return { status: 200, body, version: old.version + 1 };
        }
        if (!context.creating) throw new ProblemError('not-found');
        await context.trx('instruments').insert({ ...body, identity: JSON.stringify(body.identity), write_id: context.writeId });
        return { status: 201, body, version: 1 };
      },
    }),
  );
  return router;
}
