import type { Job } from '@rinnovo/core/job';
import { idParam, job as jobSchema, jobsQuery, noQuery } from '@rinnovo/contract';
import type { OwnerRequest } from '@rinnovo/core/remedy';
import { Router } from 'express';
import Joi from 'joi';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';
import { readRoute } from '../http/read.js';
import { demandVersion, writeRoute } from '../http/write.js';

interface Row {
  id: string;
  instrument: string;
  title: string;
  request: OwnerRequest;
  owner_says: string;
  look: string;
  limits: Job['limits'];
  /** The driver gives a bigint as text. */
  worth: string | null;
  active: boolean;
  version: number;
}

const toJob = (r: Row): Job => ({
  id: r.id,
  instrument: r.instrument,
  title: r.title,
  request: r.request,
  ownerSays: r.owner_says,
  look: r.look,
  limits: r.limits,
  worth: r.worth === null ? null : Number(r.worth),
  active: r.active,
});

export async function jobById(db: Knex, id: string): Promise<Job> {
  const row = (await db('jobs').where({ id }).first()) as Row | undefined;
  if (!row) throw new ProblemError('not-found', { detail: 'No job has that id.' });
  return toJob(row);
}

/** The active job of an instrument, if it has one. */
export async function activeJobOf(db: Knex, instrument: string): Promise<Job | null> {
  const row = (await db('jobs').where({ instrument, active: true }).first()) as Row | undefined;
  return row ? toJob(row) : null;
}

export function jobRoutes(db: Knex): Router {
  const router = Router();
  router.get(
    '/',
    readRoute(Joi.object({}), jobsQuery, async (_, { instrument }) => {
      const query = db('jobs')
        .orderBy([{ column: 'active', order: 'desc' }, { column: 'id' }])
        .limit(1000);
      const rows = (await (instrument === undefined ? query.where({ active: true }) : query.where({ instrument }))) as Row[];
      return { body: { items: rows.map(toJob), next: null } };
    }),
  );
  router.get(
    '/:id',
    readRoute(idParam, noQuery, async ({ id }) => {
      const row = (await db('jobs').where({ id }).first()) as Row | undefined;
      if (!row) throw new ProblemError('not-found', { detail: 'No job has that id.' });
      return { body: toJob(row), version: row.version };
    }),
  );
  router.put(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: jobSchema,
      precondition: 'either',
      run: async ({ params, body }, context) => {
        if (body.id !== params.id) throw new ProblemError('input-invalid', { errors: [{ pointer: '/id', detail: 'must be the id of the address' }] });
        const old = (await context.trx('jobs').where({ id: params.id }).forNoKeyUpdate().first()) as Row | undefined;
        const row = {
          id: body.id,
          instrument: body.instrument,
          title: body.title,
          request: JSON.stringify(body.request),
          owner_says: body.ownerSays,
          look: body.look,
          limits: JSON.stringify(body.limits),
          worth: body.worth,
          active: body.active,
          write_id: context.writeId,
        };
        const other = body.active ? await activeJobOf(context.trx, body.instrument) : null;
        if (other && other.id !== body.id)
          throw new ProblemError('cannot-be', {
            errors: [{ pointer: '/active', detail: `‘${other.title}’ is the active job of this instrument. Close it first` }],
          });
        if (old) {
          demandVersion(context, old.version, toJob(old), body);
          if (old.instrument !== body.instrument)
            throw new ProblemError('cannot-be', { errors: [{ pointer: '/instrument', detail: 'cannot move to another instrument' }] });
          await context
            .trx('jobs')
            .where({ id: params.id })
            .update({ ...row, version: old.version + 1 });
          return { status: 200, body, version: old.version + 1 };
        }
        if (!context.creating) throw new ProblemError('not-found');
        await context.trx('jobs').insert(row);
        return { status: 201, body, version: 1 };
      },
    }),
  );
  return router;
}
