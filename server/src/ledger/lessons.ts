import type { Wrong } from '@rinnovo/core/job';
import { noQuery, type Lesson } from '@rinnovo/contract';
import type { OperationKind } from '@rinnovo/core/operation';
import { newKind } from '@rinnovo/core/upgrade';
import { Router } from 'express';
import Joi from 'joi';
import type { Knex } from 'knex';
import { readRoute } from '../http/read.js';

/** As many as anybody reads. */
const MOST = 200;

interface Row {
  readonly id: string;
  readonly kind: string;
  readonly wrong: Wrong;
  readonly instrument: string;
  readonly label: string;
  readonly at: Date;
}

/** /api/lessons: what mishaps taught on any instrument, newest first. */
export function lessonRoutes(db: Knex): Router {
  const router = Router();
  router.get(
    '/',
    readRoute(Joi.object({}), noQuery, async () => {
      const rows = (await db('ledger')
        .join('instruments', 'instruments.id', 'ledger.instrument')
        .whereRaw(`ledger.wrong->>'lesson' <> ''`)
        .orderBy([{ column: 'ledger.at', order: 'desc' }, 'ledger.id'])
        .limit(MOST)
        .select('ledger.id', 'ledger.kind', 'ledger.wrong', 'ledger.instrument', 'instruments.label', 'ledger.at')) as Row[];
      const items = rows.map(({ wrong, kind, at, ...r }): Lesson => ({
        ...r,
        kind: newKind(kind) as OperationKind,
        mishap: wrong.mishap,
        cause: wrong.cause,
        lesson: wrong.lesson,
        at: at.toISOString(),
      }));
      return { body: { items } };
    }),
  );
  return router;
}
