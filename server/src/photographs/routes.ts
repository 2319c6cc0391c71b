import { idParam, noQuery, removePhotograph, takePhotograph, type Photograph } from '@rinnovo/contract';
import { Router, type RequestHandler } from 'express';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';
import { readRoute } from '../http/read.js';
import { valid } from '../http/validate.js';
import { demandVersion, writeRoute } from '../http/write.js';
import { picturesWaiting, pictureFrom } from './picture.js';

type Row = Omit<Photograph, 'at'> & { readonly at: Date };

/** All but the pictures themselves. */
const COLUMNS = ['id', 'instrument', 'operation', 'step', 'width', 'height', 'removed', 'person', 'at', 'version'];

const photographOf = (r: Row): Photograph => ({ ...r, at: r.at.toISOString() });

/** /api/photographs/:id: a picture of a step, taken on the bench; put away it can be brought back. */
export function photographRoutes(db: Knex): Router {
  const router = Router();
  router.put(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: takePhotograph,
      precondition: 'create',
      // pictures wait for one another before anything is locked
      before: ({ body }) => pictureFrom(Buffer.from(body.image, 'base64')),
      run: async ({ params, body }, { trx, person, writeId }, ready) => {
        const found = (await trx('operations')
          .join('jobs', 'jobs.id', 'operations.job')
          .where({ 'operations.id': body.operation })
          .first('jobs.instrument')) as { instrument: string } | undefined;
        if (!found) throw new ProblemError('cannot-be', { errors: [{ pointer: '/operation', detail: 'no operation has that id' }] });
        const picture = ready ?? (await pictureFrom(Buffer.from(body.image, 'base64')));
        const row = { id: params.id, instrument: found.instrument, operation: body.operation, step: body.step, ...picture, person, write_id: writeId };
        const [kept] = (await trx('photographs').insert(row).returning(COLUMNS)) as Row[];
        return { status: 201, body: kept && photographOf(kept), version: 1 };
      },
    }),
  );
  router.put(
    '/:id/removed',
    writeRoute(db, {
      params: idParam,
      body: removePhotograph,
      precondition: 'change',
      run: async ({ params, body }, context) => {
        const old = (await context.trx('photographs').where({ id: params.id }).forNoKeyUpdate().first(COLUMNS)) as Row | undefined;
        if (!old) throw new ProblemError('not-found', { detail: 'No photograph has that id.' });
        demandVersion(context, old.version, photographOf(old), body);
        const now = { removed: body.removed, version: old.version + 1 };
        await context
          .trx('photographs')
          .where({ id: params.id })
          .update({ ...now, write_id: context.writeId });
        return { status: 200, body: photographOf({ ...old, ...now }), version: now.version };
      },
    }),
  );
  router.get('/waiting', (req, res) => {
    valid(noQuery, req.query);
    res.json({ waiting: picturesWaiting() });
  });
  router.get('/:id/image', sendPicture(db, 'image'));
  router.get('/:id/small', sendPicture(db, 'small'));
  return router;
}

function sendPicture(db: Knex, column: 'image' | 'small'): RequestHandler {
  return async (req, res) => {
    const { id } = valid(idParam, req.params);
    valid(noQuery, req.query);
    const row = (await db('photographs').where({ id }).first(column)) as Readonly<Record<string, Buffer>> | undefined;
    if (!row) throw new ProblemError('not-found', { detail: 'No photograph has that id.' });
    res.set('Cache-Control', 'private, max-age=31536000, immutable').type('image/jpeg').send(row[column]);
  };
}

/** /api/instruments/:id/photographs: what was photographed of an instrument, oldest first; not what was put away. */
export function instrumentPhotographRoutes(db: Knex): Router {
  const router = Router({ mergeParams: true });
  router.get(
    '/',
    readRoute(idParam, noQuery, async ({ id }) => {
      const rows = (await db('photographs').where({ instrument: id, removed: false }).orderBy(['at', 'id']).select(COLUMNS)) as Row[];
      return { body: { items: rows.map(photographOf) } };
    }),
  );
  return router;
}
