import type { Knex } from 'knex';
import { Router } from 'express';
import { idParam, noQuery, person as personSchema, type Person } from '@rinnovo/contract';
import Joi from 'joi';
import { noteOwner } from '../instruments/owner-changes.js';
import { demandVersion, writeRoute, type WriteContext } from '../http/write.js';
import { readRoute } from '../http/read.js';
import { ProblemError } from '../http/problems.js';

interface Row extends Person {
  readonly version: number;
}

const toPerson = ({ id, name, role }: Row): Person => ({ id, name, role });

/** Whoever owns instruments and has another role now: that is noted on each of them. */
async function noteRole({ trx, person, writeId }: WriteContext, { id, role }: Row): Promise<void> {
  const owned = (await trx('instruments').where({ owner: id }).orderBy('id').forNoKeyUpdate().select('id')) as { id: string }[];
  for (const { id: instrument } of owned) await noteOwner(trx, { instrument, was: id, now: id, wasRole: role, person, writeId });
}

export function peopleRoutes(db: Knex): Router {
  const router = Router();
  router.get(
    '/',
    readRoute(Joi.object({}), noQuery, async () => {
      const rows = await db<Row>('people')
        .orderBy([{ column: 'name' }, { column: 'id' }])
        .limit(500);
      return { body: { items: rows.map(toPerson), next: null } };
    }),
  );
  router.put(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: personSchema,
      precondition: 'either',
      run: async ({ params, body }, context) => {
        if (body.id !== params.id) throw new ProblemError('input-invalid', { errors: [{ pointer: '/id', detail: 'must be the id of the address' }] });
        const old = await context.trx<Row>('people').where({ id: params.id }).forNoKeyUpdate().first();
        if (old) {
          demandVersion(context, old.version, toPerson(old), body);
          await context
            .trx('people')
            .where({ id: params.id })
            .update({ name: body.name, role: body.role, version: old.version + 1, write_id: context.writeId });
          if (old.role !== body.role) await noteRole(context, old);
          return { status: 200, body, version: old.version + 1 };
        }
        if (!context.creating) throw new ProblemError('not-found');
        await context.trx('people').insert({ ...body, write_id: context.writeId });
        return { status: 201, body, version: 1 };
      },
    }),
  );
  return router;
}
