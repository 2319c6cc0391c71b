import { idParam, templateQuery } from '@rinnovo/contract';
import { choiceOf } from '@rinnovo/core/check';
import { correction, templateOf } from '@rinnovo/core/cut';
import { Router } from 'express';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';
import { valid } from '../http/validate.js';
import { instrumentById } from '../instruments/queries.js';
import { loadJobState } from '../jobs/job-state.js';
import { templatePdf } from './template-pdf.js';

/** /api/jobs/:id/template: a planned route true to scale as a PDF; rules that were read give a corrected one. */
export function templateRoutes(db: Knex): Router {
  const router = Router({ mergeParams: true });
  router.get('/', async (req, res) => {
    const { id } = valid(idParam, req.params);
    const { choice, paper, mirrored, ruleX, ruleY } = valid(templateQuery, req.query);
    const s = await loadJobState(db, id);
    const planned = choiceOf(s.record.plan, choice);
    if (planned?.kind !== 'pickup' || !planned.route) throw new ProblemError('not-found', { detail: 'No route is planned for that choice.' });
    const scale = { x: correction(ruleX), y: correction(ruleY) };
    const off = (['x', 'y'] as const).filter((axis) => scale[axis] === null);
    if (scale.x === null || scale.y === null) {
      const errors = off.map((axis) => ({
        pointer: axis === 'x' ? '/ruleX' : '/ruleY',
        detail: 'is off by more than 0.3 mm: the printer scaled the page; print it again at 100 %',
      }));
      throw new ProblemError('cannot-be', { errors });
    }
    const drawing = templateOf(s.state, planned, mirrored);
    if (!drawing) throw new ProblemError('not-found', { detail: 'No route is planned for that choice.' });
    const { label } = await instrumentById(db, s.job.instrument);
    const title = `${label}: ${planned.position}, plan ${s.record.version}`;
    const pdf = await templatePdf(drawing, { paper, title, mirrored, scale: { x: scale.x, y: scale.y }, made: '2000-01-01T00:00:00.000Z' });
    res.attachment(`template plan ${s.record.version} ${paper}.pdf`);
    res.type('application/pdf').send(pdf);
  });
  return router;
}
