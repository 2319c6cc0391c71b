import { idParam, noQuery, reviseCircuit } from '@rinnovo/contract';
import { circuitProblems } from '@rinnovo/core/wire';
import { circuitProblemText } from '@rinnovo/words';
import { Router } from 'express';
import type { Knex } from 'knex';
import { lockRevisions } from '../anatomy/queries.js';
import { ProblemError } from '../http/problems.js';
import { readRoute } from '../http/read.js';
import { demandVersion, writeRoute } from '../http/write.js';
import { instrumentById } from '../instruments/queries.js';
import { addCircuit, circuitOf } from './queries.js';

/** More problems of one circuit are not told at once. */
const MOST = 50;

/** Routes below /api/instruments/:id/circuit. Revision 0 is a circuit of which nothing is known: the first is created, the next ones change it. */
export function circuitRoutes(db: Knex): Router {
  const router = Router({ mergeParams: true });
  router.get(
    '/',
    readRoute(idParam, noQuery, async ({ id }) => {
      await instrumentById(db, id);
      const found = await circuitOf(db, id);
      return { body: found, version: found.revision };
    }),
  );
  router.put(
    '/',
    writeRoute(db, {
      params: idParam,
      body: reviseCircuit,
      precondition: 'either',
      run: async ({ params, body }, context) => {
        await instrumentById(context.trx, params.id);
        const newest = await lockRevisions(context.trx, params.id);
        const now = await circuitOf(context.trx, params.id);
        if (newest.circuit > 0) demandVersion(context, newest.circuit, now, body.document);
        else if (!context.creating) throw new ProblemError('not-found', { detail: 'This instrument has no circuit yet.' });
        const problems = circuitProblems(body.document);
        if (problems.length > 0) {
          throw new ProblemError('cannot-be', { errors: problems.slice(0, MOST).map((p) => ({ pointer: '/document', detail: circuitProblemText(p) })) });
        }
        await addCircuit(context.trx, newest, { instrument: params.id, document: body.document, person: context.person, writeId: context.writeId });
        const kept = await circuitOf(context.trx, params.id);
        return { status: newest.circuit === 0 ? 201 : 200, body: kept, version: kept.revision };
      },
    }),
  );
  return router;
}
