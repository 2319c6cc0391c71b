import { idParam, keepOutline, noQuery, pageQuery, archive, type DrawingSource, type KeptOutline } from '@rinnovo/contract';
import type { Outline } from '@rinnovo/core/shape';
import { Router } from 'express';
import Joi from 'joi';
import type { Knex } from 'knex';
import { inThread } from '../sums/pool.js';
import { ProblemError } from '../http/problems.js';
import { afterKey, keyOf, pageOf, readRoute } from '../http/read.js';
import { demandVersion, writeRoute } from '../http/write.js';

interface Row {
  id: string;
  name: string;
  outline: Outline;
  edge_limit: number;
  source_file: string | null;
  archived: boolean;
  version: number;
}

/** All but the text of the drawing, which is asked for by itself. */
const COLUMNS = ['id', 'name', 'outline', 'edge_limit', 'source_file', 'archived', 'version'];

function kept({ id, name, outline, edge_limit, source_file, archived, version }: Row): KeptOutline {
  return { id, name, outline, limit: edge_limit, file: source_file, archived, version };
}

/** The drawer: outlines that are kept to be used again. */
export function outlineRoutes(db: Knex): Router {
  const router = Router();
  router.get(
    '/',
    readRoute(Joi.object({}), pageQuery, async (_, { after, limit }) => {
      const key = afterKey(after, 'text', 'id');
      const query = db('outlines')
        .where({ archived: false })
        .orderBy(['name', 'id'])
        .limit(limit + 1)
        .select(COLUMNS);
      if (key) void query.whereRaw('(name, id::text) > (?, ?)', [...key]);
      return { body: pageOf((await query) as Row[], limit, (r) => keyOf(r.name, r.id), kept) };
    }),
  );
  router.get(
    '/:id/source',
    readRoute(idParam, noQuery, async ({ id }) => {
      const row = (await db('outlines').where({ id }).first(['source_file', 'source_kind', 'source_text'])) as
        { source_file: string; source_kind: 'svg' | 'dxf'; source_text: string | null } | undefined;
      if (row?.source_text == null) throw new ProblemError('not-found', { detail: 'No drawing is stored with that outline.' });
      const source: DrawingSource = { file: row.source_file, kind: row.source_kind, text: row.source_text };
      return { body: source };
    }),
  );
  router.put(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: keepOutline,
      precondition: 'create',
      run: async ({ params, body }, { trx, person, writeId }) => {
        const { name, outline, limit, source } = body;
        const there = (await trx('outlines').where({ id: params.id }).first(COLUMNS)) as Row | undefined;
        if (there) throw new ProblemError('stale', { current: kept(there), yours: { name, outline, limit } });
        const row: Row = { id: params.id, name, outline, edge_limit: limit, source_file: source?.file ?? null, archived: false, version: 1 };
        await trx('outlines').insert({
          ...row,
          outline: JSON.stringify(outline),
          source_kind: source?.kind ?? null,
          source_text: source ? await harmless(source) : null,
          person,
          write_id: writeId,
        });
        return { status: 201, body: kept(row), version: 1 };
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
        const old = (await context.trx('outlines').where({ id: params.id }).forNoKeyUpdate().first(COLUMNS)) as Row | undefined;
        if (!old) throw new ProblemError('not-found', { detail: 'No outline has that id.' });
        demandVersion(context, old.version, kept(old), body);
        const now: Row = { ...old, archived: body.archived, version: old.version + 1 };
        await context.trx('outlines').where({ id: params.id }).update({ archived: now.archived, version: now.version, write_id: context.writeId });
        return { status: 200, body: kept(now), version: now.version };
      },
    }),
  );
  return router;
}

/** The text that is stored: of an SVG its shapes and nothing that could run. Throws 400 for what is no SVG; a DXF has nothing that runs. */
async function harmless({ kind, text }: DrawingSource): Promise<string> {
  // PostgreSQL's text cannot hold the character zero, and no drawing needs it
  if (text.includes('\0')) throw new ProblemError('input-invalid', { errors: [{ pointer: '/source/text', detail: 'is not text' }] });
  if (kind === 'dxf') return text;
  const clean = await inThread('cleanSvg', text);
  if (clean === null) throw new ProblemError('input-invalid', { errors: [{ pointer: '/source/text', detail: 'is not a readable SVG' }] });
  return clean;
}
