import { idParam, noQuery, reviseCircuit, revisionParam } from '@rinnovo/contract';
import { circuitProblems } from '@rinnovo/core/wire';
import { circuitProblemText, namesOf, sheetGroups, testSheetPaper } from '@rinnovo/words';
import { Router } from 'express';
import type { Knex } from 'knex';
import { anatomyOf, lockRevisions } from '../anatomy/queries.js';
import { ProblemError } from '../http/problems.js';
import { readRoute } from '../http/read.js';
import { demandVersion, writeRoute } from '../http/write.js';
import { valid } from '../http/validate.js';
import { instrumentById } from '../instruments/queries.js';
import { headOf } from '../papers/head.js';
import { paperPdf } from '../papers/paper-pdf.js';
import { readingsOf } from '../readings/queries.js';
import { openSessions } from '../readings/sessions.js';
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
  router.get('/sheet', async (req, res) => {
    const { id } = valid(idParam, req.params);
    valid(noQuery, req.query);
    const one = await instrumentById(db, id);
    // a paper would tell what is being read again blind
    if ((await openSessions(db, id)).length > 0) throw new ProblemError('not-now', { detail: 'A second reading is open. Finish it first.' });
    const { document } = await circuitOf(db, id);
    const names = namesOf((await anatomyOf(db, id)).document, {});
    const now = new Date().toISOString();
    const groups = document ? sheetGroups(document, await readingsOf(db, id), names) : [];
    const pdf = await paperPdf(testSheetPaper(await headOf(db, one, now), groups), now);
    res.attachment(`test sheet ${one.label}.pdf`);
    res.type('application/pdf').send(pdf);
  });
  router.get(
    '/:revision',
    readRoute(revisionParam, noQuery, async ({ id, revision }) => ({ body: await circuitOf(db, id, revision) })),
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
