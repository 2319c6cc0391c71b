import { idParam, noQuery, pageQuery, part, archive } from '@rinnovo/contract';
import { partProblems, stamped, type Part, type PartProblem } from '@rinnovo/core/part';
import { contactProblemText } from '@rinnovo/words';
import { Router } from 'express';
import Joi from 'joi';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';
import { afterKey, keyOf, pageOf, readRoute } from '../http/read.js';
import { demandVersion, writeRoute } from '../http/write.js';
import { allParts, keptPart, MOST_PARTS, type PartRow } from './queries.js';

/** The part shelf: specs typed once. */
export function partRoutes(db: Knex): Router {
  const router = Router();
  router.get(
    '/',
    readRoute(Joi.object({}), pageQuery, async (_, { after, limit }) => {
      const key = afterKey(after, 'id');
      const query = db('parts')
        .orderByRaw('id::text')
        .limit(limit + 1);
      if (key) void query.whereRaw('id::text > ?', [...key]);
      return { body: pageOf((await query) as PartRow[], limit, (r) => keyOf(r.id), keptPart) };
    }),
  );
  router.get(
    '/:id',
    readRoute(idParam, noQuery, async ({ id }) => {
      const row = (await db('parts').where({ id }).first()) as PartRow | undefined;
      if (!row) throw new ProblemError('not-found', { detail: 'No part has that id.' });
      return { body: keptPart(row), version: row.version };
    }),
  );
  router.put(
    '/:id',
    writeRoute<{ id: string }, Part>(db, {
      params: idParam,
      body: part,
      precondition: 'either',
      run: async ({ params, body }, context) => {
        if (body.id !== params.id) throw new ProblemError('input-invalid', { errors: [{ pointer: '/id', detail: 'must be the id of the address' }] });
        const { trx, writeId } = context;
        const old = (await trx('parts').where({ id: params.id }).forNoKeyUpdate().first()) as PartRow | undefined;
        if (old) demandVersion(context, old.version, keptPart(old), body);
        else if (!context.creating) throw new ProblemError('not-found', { detail: 'No part has that id.' });
        await refuseWhatCannotBe(trx, body);
        const document = stamped(body, old?.document ?? null, { person: context.person, at: new Date().toISOString() });
        const row: PartRow = { id: params.id, document, archived: old?.archived ?? false, version: (old?.version ?? 0) + 1 };
        const written = { document: JSON.stringify(document), version: row.version, write_id: writeId };
        if (old) await trx('parts').where({ id: params.id }).update(written);
        else await insertOne(trx, { id: params.id, ...written });
        return { status: old ? 200 : 201, body: keptPart(row), version: row.version };
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
        const old = (await context.trx('parts').where({ id: params.id }).forNoKeyUpdate().first()) as PartRow | undefined;
        if (!old) throw new ProblemError('not-found', { detail: 'No part has that id.' });
        demandVersion(context, old.version, keptPart(old), body);
        const now: PartRow = { ...old, archived: body.archived, version: old.version + 1 };
        await context.trx('parts').where({ id: params.id }).update({ archived: now.archived, version: now.version, write_id: context.writeId });
        return { status: 200, body: keptPart(now), version: now.version };
      },
    }),
  );
  return router;
}

async function insertOne(trx: Knex.Transaction, row: object): Promise<void> {
  const [{ count }] = (await trx('parts').count('id as count')) as [{ count: string }];
  if (Number(count) >= MOST_PARTS) throw new ProblemError('cannot-be', { detail: `The shelf holds ${MOST_PARTS} parts and is full.` });
  await trx('parts').insert(row);
}

/** Self-crossing outlines, openings beyond the edge, replacements that lead back: one refusal with the place of each. */
async function refuseWhatCannotBe(trx: Knex.Transaction, body: Part): Promise<void> {
  if (body.replacedBy != null) await trx.raw('LOCK TABLE parts IN SHARE ROW EXCLUSIVE MODE');
  const problems = partProblems(body, body.replacedBy == null ? {} : await allParts(trx));
  if (problems.length > 0) throw new ProblemError('cannot-be', { errors: problems.map(problemOf) });
}

function problemOf(p: PartProblem): { readonly pointer: string; readonly detail: string } {
  switch (p.kind) {
    case 'crossesItself':
      return { pointer: '/shape', detail: `the ${p.outline} crosses itself` };
    case 'openingOutside':
      return { pointer: '/shape/openings', detail: `the opening ${p.opening} breaks through the edge` };
    case 'replacesItself':
      return { pointer: '/replacedBy', detail: 'the replacement refers back to this part' };
    case 'noSuchReplacement':
      return { pointer: '/replacedBy', detail: 'no part on the shelf has that id' };
    case 'contacts':
      return { pointer: '/contacts', detail: contactProblemText(p.problem) };
  }
}
