import { IDENTITY_KEYS, idParam, noQuery } from '@rinnovo/contract';
import { targetKey, type Reading } from '@rinnovo/core/quantity';
import { readingsIn, surveyedOf } from '@rinnovo/core/survey';
import { conditionSheet, IDENTITY_WORDS, namesOf, STARTING_WORDS, FACT_BASIS_WORDS } from '@rinnovo/words';
import { Router } from 'express';
import type { Knex } from 'knex';
import { anatomyOf } from '../anatomy/queries.js';
import { valid } from '../http/validate.js';
import { instrumentById } from '../instruments/queries.js';
import { allParts } from '../parts/queries.js';
import { readingsOf } from '../readings/queries.js';
import { openSessions } from '../readings/sessions.js';
import { conditionSheetPdf } from './condition-sheet.js';
import { findingsOf, surveyById } from './queries.js';

/** /api/surveys/:id/sheet: the condition sheet as a PDF. */
export function sheetRoutes(db: Knex): Router {
  const router = Router();
  router.get('/:id/sheet', async (req, res) => {
    const { id } = valid(idParam, req.params);
    valid(noQuery, req.query);
    const survey = await surveyById(db, id);
    const one = await instrumentById(db, survey.instrument);
    const { document } = await anatomyOf(db, one.id);
    const hidden = new Set((await openSessions(db, one.id)).map(targetKey));
    const seen = (r: Reading): boolean => !hidden.has(targetKey(r.target));
    const people = new Map(((await db('people').select('id', 'name')) as { id: string; name: string }[]).map((p) => [p.id, p.name]));
    const parts = await allParts(db);
    const sheet = conditionSheet({
      label: one.label,
      identity: [
        ...(['maker', 'model', 'serial'] as const).flatMap((k) =>
          one[k] === '' ? [] : [[{ maker: 'Maker', model: 'Model', serial: 'Serial' }[k], one[k]] as const],
        ),
        ['Kind', STARTING_WORDS[one.kind].name],
        ...IDENTITY_KEYS.flatMap((k) => {
          const fact = one.identity[k];
          return fact ? [[IDENTITY_WORDS[k], `${fact.value} (${FACT_BASIS_WORDS[fact.basis]})`] as const] : [];
        }),
      ],
      surveyed: surveyedOf(document, one, parts),
      survey,
      readings: readingsIn(id, await readingsOf(db, one.id)).filter(seen),
      pinned: (await findingsOf(db, one.id)).filter((f) => f.survey === id && f.rule === null),
      names: namesOf(document, parts),
      person: (p) => people.get(p) ?? 'unknown person',
    });
    const pdf = await conditionSheetPdf(sheet, document, survey.signed?.at ?? survey.begun);
    res.attachment(`condition sheet ${survey.kind}.pdf`);
    res.type('application/pdf').send(pdf);
  });
  return router;
}
