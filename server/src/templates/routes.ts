import { idParam, templateQuery, type TemplateQuery } from '@rinnovo/contract';
import { isPickupChoice, choiceOf } from '@rinnovo/core/check';
import { correction, panelOf, templateOf, type TemplateDrawing } from '@rinnovo/core/cut';
import { nameOf, namesOf } from '@rinnovo/words';
import { Router } from 'express';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';
import { valid } from '../http/validate.js';
import { instrumentById } from '../instruments/queries.js';
import { loadJobState, type JobState } from '../jobs/job-state.js';
import { templatePdf } from './template-pdf.js';

/** /api/jobs/:id/template: a planned route, or the copy of a panel, true to scale as a PDF; rules that were read give a corrected one. */
export function templateRoutes(db: Knex): Router {
  const router = Router({ mergeParams: true });
  router.get('/', async (req, res) => {
    const { id } = valid(idParam, req.params);
    const query = valid(templateQuery, req.query);
    const { panel, paper, ruleX, ruleY } = query;
    const s = await loadJobState(db, id);
    const scale = { x: correction(ruleX), y: correction(ruleY) };
    const off = (['x', 'y'] as const).filter((axis) => scale[axis] === null);
    if (scale.x === null || scale.y === null) {
      const errors = off.map((axis) => ({
        pointer: axis === 'x' ? '/ruleX' : '/ruleY',
        detail: 'is off by more than 0.3 mm: the printer scaled the page. Print again at 100 %',
      }));
      throw new ProblemError('cannot-be', { errors });
    }
    const { drawing, what } = drawn(s, query);
    const { label } = await instrumentById(db, s.job.instrument);
    const title = `${label}: ${what}, plan ${s.record.version}`;
    const pdf = await templatePdf(drawing, { paper, title, scale: { x: scale.x, y: scale.y }, made: '2000-01-01T00:00:00.000Z' });
    res.attachment(`${panel === undefined ? 'template' : 'panel'} plan ${s.record.version} ${paper}.pdf`);
    res.type('application/pdf').send(pdf);
  });
  return router;
}

/** The planned route of a choice, or the copy of a panel. Throws not-found where there is none. */
function drawn(
  s: JobState,
  { choice, panel, mirrored }: Pick<TemplateQuery, 'choice' | 'panel' | 'mirrored'>,
): { readonly drawing: TemplateDrawing; readonly what: string } {
  if (panel !== undefined) {
    const drawing = panelOf(s.state, panel, mirrored);
    if (!drawing) throw new ProblemError('not-found', { detail: 'No panel with holes in it has that id.' });
    return { drawing, what: `panel ${nameOf(namesOf(s.state.anatomy, {}), panel)}` };
  }
  const planned = choiceOf(s.record.plan, choice ?? null);
  const pickup = planned && isPickupChoice(planned) ? planned : null;
  const drawing = pickup && templateOf(s.state, pickup, mirrored);
  if (!pickup || !drawing) throw new ProblemError('not-found', { detail: 'No route is planned for that choice.' });
  return { drawing, what: pickup.position };
}
