import { idParam, keepFinding, noQuery } from '@rinnovo/contract';
import { featureOf } from '@rinnovo/core/instrument';
import { Router } from 'express';
import type { Knex } from 'knex';
import { anatomyOf } from '../anatomy/queries.js';
import { ProblemError } from '../http/problems.js';
import { readRoute } from '../http/read.js';
import { demandVersion, writeRoute } from '../http/write.js';
import { jobById } from '../jobs/jobs.js';
import { findingsOf, surveyById, toFinding } from './queries.js';

type Row = Parameters<typeof toFinding>[0];

/** /api/findings: what was found by a person or accepted of a rule; with a job it is a task. */
export function findingRoutes(db: Knex): Router {
  const router = Router();
  router.put(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: keepFinding,
      precondition: 'either',
      run: async ({ params, body }, context) => {
        const { trx, person, writeId } = context;
        const { document } = await anatomyOf(trx, body.instrument);
        const wrong = (pointer: string, detail: string): ProblemError => new ProblemError('cannot-be', { errors: [{ pointer, detail }] });
        if (body.feature !== null && !featureOf(document, body.feature)) throw wrong('/feature', 'is not on this instrument');
        if (body.survey !== null && (await surveyById(trx, body.survey)).instrument !== body.instrument)
          throw wrong('/survey', 'belongs to another instrument');
        if (body.job !== null && (await jobById(trx, body.job)).instrument !== body.instrument) throw wrong('/job', 'belongs to another instrument');
        if (body.done && body.job === null) throw wrong('/done', 'only a task of a job can be done');
        const old = (await trx('findings').where({ id: params.id }).forNoKeyUpdate().first()) as Row | undefined;
        if (context.creating) {
          if (old) throw new ProblemError('stale', { current: toFinding(old), yours: body });
          const [row] = (await trx('findings')
            .insert({ id: params.id, ...body, person, write_id: writeId })
            .returning('*')) as [Row];
          return { status: 201, body: toFinding(row), version: 1 };
        }
        if (!old) throw new ProblemError('not-found', { detail: 'No finding has that id.' });
        if (old.instrument !== body.instrument) throw wrong('/instrument', 'cannot move to another instrument');
        demandVersion(context, old.version, toFinding(old), body);
        const [row] = (await trx('findings')
          .where({ id: params.id })
          .update({ ...body, version: old.version + 1, write_id: writeId })
          .returning('*')) as [Row];
        return { status: 200, body: toFinding(row), version: row.version };
      },
    }),
  );
  return router;
}

/** /api/instruments/:id/findings. */
export function instrumentFindingRoutes(db: Knex): Router {
  const router = Router({ mergeParams: true });
  router.get(
    '/',
    readRoute(idParam, noQuery, async ({ id }) => ({ body: { items: await findingsOf(db, id), next: null } })),
  );
  return router;
}
