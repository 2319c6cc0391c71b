import { idParam, noQuery, reviseAnatomy, revisionParam } from '@rinnovo/contract';
import { withDimensionHidden, withGapsFilled } from './withhold.js';
import { impossibleIn, withWhatWasRead, type Anatomy } from '@rinnovo/core/instrument';
import { Router } from 'express';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';
import { readRoute } from '../http/read.js';
import { demandVersion, writeRoute } from '../http/write.js';
import { hiddenSince, openSessions } from '../readings/sessions.js';
import { asFound } from './as-found.js';
import { addRevision, anatomyHistory, anatomyOf, lockRevisions, wasSoBefore } from './queries.js';

/** Throws 422 for each dimension that cannot be. */
function demandPossible(next: Anatomy, before: Anatomy | null): void {
  const errors = impossibleIn(next, before).map(({ target, value, min, max }) => ({
    pointer: `/document/${target.quantity}/${target.feature}${target.part === undefined ? '' : `/${target.part}`}`,
    detail: `${value} cannot be: must be between ${min} and ${Number(max.toFixed(2))} mm`,
  }));
  if (errors.length > 0) throw new ProblemError('cannot-be', { errors: errors.slice(0, 50) });
}

/** Routes below /api/instruments/:id/anatomy. */
export function anatomyRoutes(db: Knex): Router {
  const router = Router({ mergeParams: true });
  router.get(
    '/',
    readRoute(idParam, noQuery, async ({ id }) => {
      const [found, sessions] = await Promise.all([anatomyOf(db, id), openSessions(db, id)]);
      return { body: { ...found, document: withDimensionHidden(found.document, sessions) }, ...(sessions.length === 0 ? { version: found.revision } : {}) };
    }),
  );
  router.get(
    '/history',
    readRoute(idParam, noQuery, async ({ id }) => ({ body: { items: await anatomyHistory(db, id), next: null } })),
  );
  router.get(
    '/found',
    readRoute(idParam, noQuery, async ({ id }) => ({ body: await asFound(db, id, await openSessions(db, id)) })),
  );
  router.get(
    '/:revision',
    readRoute(revisionParam, noQuery, async ({ id, revision }) => {
      const [found, sessions] = await Promise.all([anatomyOf(db, id, revision), openSessions(db, id)]);
      return { body: { ...found, document: withDimensionHidden(found.document, sessions) } };
    }),
  );
  router.put(
    '/',
    writeRoute(db, {
      params: idParam,
      body: reviseAnatomy,
      precondition: 'either',
      run: async ({ params, body }, context) => {
        const newest = await lockRevisions(context.trx, params.id);
        const old = newest.anatomy > 0 ? await anatomyOf(context.trx, params.id) : null;
        const hidden = await openSessions(context.trx, params.id);
        if (old) demandVersion(context, newest.anatomy, { ...old, document: withDimensionHidden(old.document, hidden) }, body.document);
        else if (!context.creating) throw new ProblemError('not-found', { detail: 'This instrument has no anatomy yet.' });
        // a document that was fetched while a value was hidden has a gap there, and puts none into this one
        const gaps = old ? await hiddenSince(context.trx, params.id, new Date(old.at)) : [];
        // shapes and places are typed; what was read stays as it was read
        const document = withWhatWasRead(old?.document ?? null, old ? withGapsFilled(old.document, body.document, gaps) : body.document);
        demandPossible(document, old?.document ?? null);
        await addRevision(context.trx, newest, {
          instrument: params.id,
          document,
          cause: (await wasSoBefore(context.trx, params.id, document, newest.anatomy)) ? 'restore' : 'correction',
          entry: null,
          person: context.person,
          writeId: context.writeId,
        });
        const now = await anatomyOf(context.trx, params.id);
        return { status: newest.anatomy === 0 ? 201 : 200, body: { ...now, document: withDimensionHidden(now.document, hidden) }, version: now.revision };
      },
    }),
  );
  return router;
}
