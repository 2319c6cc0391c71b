import { beginSurvey, changeSurvey, idParam, keepProfile, noQuery, archive, signSurvey } from '@rinnovo/contract';
import { isPlace, readingsIn, stateOf, surveyedOf, type StateValue } from '@rinnovo/core/survey';
import { Router } from 'express';
import Joi from 'joi';
import type { Knex } from 'knex';
import { anatomyOf } from '../anatomy/queries.js';
import { ProblemError } from '../http/problems.js';
import { readRoute } from '../http/read.js';
import { demandVersion, writeRoute } from '../http/write.js';
import { circuitOf } from '../circuits/queries.js';
import { instrumentById } from '../instruments/queries.js';
import { readingsOf } from '../readings/queries.js';
import { demandOpen, profiles, surveyById, surveysOf, toProfile } from './queries.js';

/** /api/surveys: begun, changed until signed, signed once. */
export function surveyRoutes(db: Knex): Router {
  const router = Router();
  const begin = writeRoute(db, {
    params: idParam,
    body: beginSurvey,
    precondition: 'create',
    run: async ({ params, body }, { trx, person, writeId }) => {
      await instrumentById(trx, body.instrument);
      const open = (await trx('surveys').where({ instrument: body.instrument, signed_at: null }).first('id')) as { id: string } | undefined;
      if (open)
        throw new ProblemError('already-there', {
          detail: 'This instrument has an open survey. Sign it first, or continue it.',
          current: await surveyById(trx, open.id),
        });
      await trx('surveys').insert({ id: params.id, ...body, work: JSON.stringify(body.work), person, holder: person, write_id: writeId });
      return { status: 201, body: await surveyById(trx, params.id), version: 1 };
    },
  });
  const change = writeRoute(db, {
    params: idParam,
    body: changeSurvey,
    precondition: 'change',
    run: async ({ params, body }, context) => {
      const { trx, writeId } = context;
      const old = await surveyById(trx, params.id, true);
      demandOpen(old);
      demandVersion(context, old.version, old, body);
      const surveyed = surveyedOf(
        (await anatomyOf(trx, old.instrument)).document,
        await instrumentById(trx, old.instrument),
        {},
        (await circuitOf(trx, old.instrument)).document,
      );
      const nowhere = body.skipped.findIndex((s) => !isPlace(s.target, surveyed));
      if (nowhere >= 0) throw new ProblemError('cannot-be', { errors: [{ pointer: `/skipped/${nowhere}/target`, detail: 'is not on this instrument' }] });
      await trx('surveys')
        .where({ id: params.id })
        .update({ ...body, skipped: JSON.stringify(body.skipped), work: JSON.stringify(body.work), version: old.version + 1, write_id: writeId });
      return { status: 200, body: await surveyById(trx, params.id), version: old.version + 1 };
    },
  });
  router.put('/:id', (req, res, next) => (req.get('If-Match') === undefined ? begin : change)(req, res, next));
  router.put(
    '/:id/signature',
    writeRoute(db, {
      params: idParam,
      body: signSurvey,
      precondition: 'change',
      run: async ({ params, body }, context) => {
        const { trx, person, writeId } = context;
        const old = await surveyById(trx, params.id, true);
        demandOpen(old);
        demandVersion(context, old.version, old, body);
        const some = (await trx('readings').where({ survey: params.id }).first('id')) as unknown;
        if (!some) throw new ProblemError('not-now', { detail: 'This survey has no readings yet, so it cannot be signed.' });
        await trx('surveys')
          .where({ id: params.id })
          .update({ signed_at: trx.raw('clock_timestamp()'), signed_by: person, version: old.version + 1, write_id: writeId });
        return { status: 200, body: await surveyById(trx, params.id), version: old.version + 1 };
      },
    }),
  );
  return router;
}

/** /api/instruments/:id/surveys. */
export function instrumentSurveyRoutes(db: Knex): Router {
  const router = Router({ mergeParams: true });
  router.get(
    '/',
    readRoute(idParam, noQuery, async ({ id }) => ({ body: { items: await surveysOf(db, id), next: null } })),
  );
  return router;
}

/** /api/profiles: the values of a signed survey under a name. */
export function profileRoutes(db: Knex): Router {
  const router = Router();
  router.get(
    '/',
    readRoute(Joi.object({}), noQuery, async () => ({ body: { items: await profiles(db), next: null } })),
  );
  router.put(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: keepProfile,
      precondition: 'create',
      run: async ({ params, body }, { trx, person, writeId }) => {
        const survey = await surveyById(trx, body.survey);
        if (!survey.signed) throw new ProblemError('not-now', { detail: 'Sign the survey first. A profile needs values that no longer change.' });
        const surveyed = surveyedOf((await anatomyOf(trx, survey.instrument)).document, await instrumentById(trx, survey.instrument));
        const { readings } = stateOf(surveyed, readingsIn(survey.id, await readingsOf(trx, survey.instrument)));
        const values = readings.map(({ target, reading }): StateValue => ({ target, value: reading.value, limit: reading.limit }));
        const row = {
          id: params.id,
          name: body.name,
          instrument: survey.instrument,
          survey: survey.id,
          values: JSON.stringify(values),
          person,
          write_id: writeId,
        };
        const [kept] = (await trx('profiles').insert(row).returning('*')) as [Parameters<typeof toProfile>[0]];
        return { status: 201, body: toProfile(kept), version: 1 };
      },
    }),
  );
  router.put(
    '/:id/archived',
    writeRoute(db, {
      params: idParam,
      body: archive,
      precondition: 'change',
      run: async ({ params, body }, context) => {
        const old = (await context.trx('profiles').where({ id: params.id }).forNoKeyUpdate().first()) as Parameters<typeof toProfile>[0] | undefined;
        if (!old) throw new ProblemError('not-found', { detail: 'No profile has that id.' });
        demandVersion(context, old.version, toProfile(old), body);
        const now = { ...old, archived: body.archived, version: old.version + 1 };
        await context.trx('profiles').where({ id: params.id }).update({ archived: now.archived, version: now.version, write_id: context.writeId });
        return { status: 200, body: toProfile(now), version: now.version };
      },
    }),
  );
  return router;
}
