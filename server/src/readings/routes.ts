import { blindSession, endBlind, idParam, noQuery, pageQuery, takeReading, type TakeReading } from '@rinnovo/contract';
import { readingsCsv } from '@rinnovo/core/format';
import { acceptReading, dimensionAt, type Anatomy } from '@rinnovo/core/instrument';
import { limitFlaw, limitOf } from '@rinnovo/core/part';
import { isPlace, surveyedOf } from '@rinnovo/core/survey';
import { canBe, isState, quantityOf, secondReading, targetKey, type AnyTarget, type Reading, type Under } from '@rinnovo/core/quantity';
import { Router } from 'express';
import type { Knex } from 'knex';
import { addRevision, anatomyOf, lockRevisions } from '../anatomy/queries.js';
import { circuitOf } from '../circuits/queries.js';
import { instrumentById } from '../instruments/queries.js';
import { ProblemError } from '../http/problems.js';
import { afterKey, keyOf, pageOf, readRoute } from '../http/read.js';
import { writeRoute } from '../http/write.js';
import { shopOf } from '../shop/shop.js';
import { limitFlawText } from '@rinnovo/words';
import { demandOpen, surveyById } from '../surveys/queries.js';
import { valid } from '../http/validate.js';
import { readingsAbout, readingsAfter, readingsOf, shown } from './queries.js';
import { endSession, openSession, openSessions, STILL_HIDDEN } from './sessions.js';

/** /api/readings/:id and /api/blind-sessions/:id: both are created, never changed. */
export function readingRoutes(db: Knex): Router {
  const router = Router();
  router.put(
    '/readings/:id',
    writeRoute(db, {
      params: idParam,
      body: takeReading,
      precondition: 'create',
      run: async ({ params, body }, { trx, person, writeId }) => {
        const newest = await lockRevisions(trx, body.instrument);
        const now = await anatomyOf(trx, body.instrument);
        const key = targetKey(body.target);
        await demandPlace(trx, body.instrument, now.document, body.target);
        const kept = quantityOf(body.target);
        const { min, max, unit } = kept;
        if (!canBe(kept, body.value))
          throw new ProblemError('cannot-be', {
            errors: [
              {
                pointer: '/value',
                detail: `must be ${unit === 'choice' ? 'a whole number ' : ''}between ${min} and ${max} ${unit}${kept.open ? ', or open' : ''}`,
              },
            ],
          });
        const earlier = await readingsAbout(trx, body.instrument, key, body.corrects);
        const under = await underOf(trx, body, earlier);
        await demandLimit(trx, body);
        if (body.session !== null) await closeSession(trx, body, key, person);
        const { session, ...plain } = body;
        await trx('readings').insert({
          id: params.id,
          ...plain,
          target: JSON.stringify(body.target),
          unit,
          under: under && JSON.stringify(under),
          target_key: key,
          person,
          blind: session !== null,
          session,
          write_id: writeId,
        });
        const reading = (await readingsAbout(trx, body.instrument, key, null)).find((r) => r.id === params.id) as Reading;
        const second = secondReading(body.target, [...earlier, reading]).state;
        // a state changes no dimension, and so makes no revision
        if (isState(body.target)) return { status: 201, body: { reading, revisions: newest, second } };
        const document = acceptReading(now.document, reading, earlier);
        // a correction of what was worked since changes nothing
        if (document === now.document) return { status: 201, body: { reading, revisions: newest, second } };
        const revisions = await addRevision(trx, newest, { instrument: body.instrument, document, cause: 'correction', entry: null, person, writeId });
        return { status: 201, body: { reading, revisions, second } };
      },
    }),
  );
  router.put(
    '/blind-sessions/:id',
    writeRoute(db, {
      params: idParam,
      body: blindSession,
      precondition: 'create',
      run: async ({ params, body }, { trx, person, writeId }) => {
        if (body.id !== params.id) throw new ProblemError('input-invalid', { errors: [{ pointer: '/id', detail: 'must be the id of the address' }] });
        const now = await anatomyOf(trx, body.instrument);
        await demandPlace(trx, body.instrument, now.document, body.target);
        await demandTool(trx, body);
        await openSession(trx, body, person, writeId);
        return { status: 201, body };
      },
    }),
  );
  router.delete(
    '/blind-sessions/:id',
    writeRoute(db, {
      params: idParam,
      body: endBlind,
      precondition: 'change',
      run: async ({ params, body }, { trx, person }) => {
        await endSession(trx, params.id, person, body.reason);
        return { status: 200, body: { id: params.id, closed: true } };
      },
    }),
  );
  return router;
}

/** What a reading is taken under. It goes into an open survey; into a signed one only as a correction of one of its readings, and each reading is corrected once. */
async function underOf(trx: Knex, body: TakeReading, earlier: readonly Reading[]): Promise<Under | null> {
  const wrong = (pointer: string, detail: string): ProblemError => new ProblemError('cannot-be', { errors: [{ pointer, detail }] });
  let under: Under | null = null;
  if (body.survey !== null) {
    const survey = await surveyById(trx, body.survey, true);
    if (survey.instrument !== body.instrument) throw wrong('/survey', 'belongs to another instrument');
    if (body.corrects === null) demandOpen(survey);
    under = { strings: survey.strings, tuning: survey.tuning };
  }
  if (body.corrects === null) return under;
  const old = earlier.find((r) => r.id === body.corrects);
  if (old?.survey !== body.survey) throw wrong('/corrects', 'must be a reading of the same survey');
  if (earlier.some((r) => r.corrects === body.corrects))
    throw new ProblemError('not-now', { detail: 'That reading is already corrected. Correct the correction.' });
  return old.under ?? under;
}

/** Throws 422 where a limit is not its tool's, or the tool is none of the workshop's in use. */
async function demandLimit(trx: Knex, { target, value, limit, tool, why }: TakeReading): Promise<void> {
  const { tools } = await shopOf(trx);
  const flaw = limitFlaw(tools, target, { value, limit, tool, ...(why === undefined ? {} : { why }) });
  if (flaw) throw new ProblemError('cannot-be', { errors: [{ pointer: TYPED_AT[flaw.what], detail: limitFlawText(flaw) }] });
}

const TYPED_AT = { unknownTool: '/tool', retiredTool: '/tool', finerThanTool: '/limit', coarserWithoutReason: '/why' } as const;

/** Throws 422 where a session is begun with a tool that the workshop has not in use. */
async function demandTool(trx: Knex, { target, tool }: Pick<TakeReading, 'target' | 'tool'>): Promise<void> {
  const { tools } = await shopOf(trx);
  if (limitOf(tools, target, 0, tool) === null)
    throw new ProblemError('cannot-be', { errors: [{ pointer: '/tool', detail: limitFlawText({ what: 'unknownTool' }) }] });
}

/** Ends the session that a blind reading is taken in, by whoever opened it; throws where it has ended, or another tool was zeroed and nobody says why. */
async function closeSession(trx: Knex, body: TakeReading, key: string, person: string): Promise<void> {
  const session = { id: body.session, instrument: body.instrument, target_key: key, person, closed: false };
  const open = (await trx('blind_sessions').where(session).whereRaw(STILL_HIDDEN).forNoKeyUpdate().first('tool')) as { tool: string } | undefined;
  if (!open) throw new ProblemError('not-now', { detail: 'That blind reading has ended or belongs to another value. Start it again.' });
  if (open.tool !== body.tool && body.why === undefined)
    throw new ProblemError('cannot-be', { errors: [{ pointer: '/why', detail: 'type why another tool than the zeroed one was used' }] });
  await trx('blind_sessions').where({ id: body.session }).update({ closed: true, ended_by: person });
}

/** Throws 422 for a dimension or a state of something that this instrument does not have. */
async function demandPlace(trx: Knex, instrument: string, anatomy: Anatomy, target: AnyTarget): Promise<void> {
  const there = isState(target)
    ? isPlace(target, surveyedOf(anatomy, await instrumentById(trx, instrument), {}, (await circuitOf(trx, instrument)).document))
    : dimensionAt(anatomy, target).exists;
  if (!there) throw new ProblemError('cannot-be', { errors: [{ pointer: '/target', detail: 'is not on this instrument' }] });
}

/** Routes below /api/instruments/:id/readings. */
export function instrumentReadingRoutes(db: Knex): Router {
  const router = Router({ mergeParams: true });
  router.get(
    '/',
    readRoute(idParam, pageQuery, async ({ id }, { after, limit }) => {
      const [rows, sessions] = await Promise.all([readingsAfter(db, id, afterKey(after, 'time', 'id'), limit), openSessions(db, id)]);
      const hidden = new Set(sessions.map(targetKey));
      return {
        body: pageOf(
          rows,
          limit,
          (r) => keyOf(r.at, r.id),
          (r) => shown(r, hidden, targetKey(r.target)),
        ),
      };
    }),
  );
  router.get('/csv', async (req, res) => {
    const { id } = valid(idParam, req.params);
    valid(noQuery, req.query);
    const { label } = await instrumentById(db, id);
    const [rows, sessions] = await Promise.all([readingsOf(db, id), openSessions(db, id)]);
    const hidden = new Set(sessions.map(targetKey));
    const people = new Map(((await db('people').select('id', 'name')) as { id: string; name: string }[]).map((p) => [p.id, p.name]));
    res.attachment(`${label.replace(/[^\p{L}\p{N} _-]/gu, '').trim() || 'readings'}.csv`);
    res.type('text/csv; charset=utf-8').send(readingsCsv(rows.map((r) => ({ ...shown(r, hidden, targetKey(r.target)), person: people.get(r.person) ?? '' }))));
  });
  return router;
}
