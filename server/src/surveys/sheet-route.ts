import { idParam, noQuery } from '@rinnovo/contract';
import { conditionPaper } from '@rinnovo/words';
import { Router } from 'express';
import type { Knex } from 'knex';
import { valid } from '../http/validate.js';
import { instrumentById } from '../instruments/queries.js';
import { headOf } from '../papers/head.js';
import { paperPdf } from '../papers/paper-pdf.js';
import { loadSheet } from './load-sheet.js';
import { surveyById } from './queries.js';

/** /api/surveys/:id/sheet: the condition sheet as a PDF. */
export function sheetRoutes(db: Knex): Router {
  const router = Router();
  router.get('/:id/sheet', async (req, res) => {
    const { id } = valid(idParam, req.params);
    valid(noQuery, req.query);
    const survey = await surveyById(db, id);
    const one = await instrumentById(db, survey.instrument);
    const { sheet, anatomy } = await loadSheet(db, one, survey);
    const made = survey.signed?.at ?? survey.begun;
    const pdf = await paperPdf(conditionPaper(sheet, anatomy, await headOf(db, one, made)), made);
    res.attachment(`condition sheet ${survey.kind}.pdf`);
    res.type('application/pdf').send(pdf);
  });
  return router;
}
