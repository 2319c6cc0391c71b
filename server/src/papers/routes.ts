import { noQuery, paperParam } from '@rinnovo/contract';
import { dateText, namesOf } from '@rinnovo/words';
import { Router } from 'express';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';
import { valid } from '../http/validate.js';
import { instrumentById } from '../instruments/queries.js';
import { loadJobState } from '../jobs/job-state.js';
import { openSessions } from '../readings/sessions.js';
import { headOf } from './head.js';
import { JOB_PAPERS } from './job-papers.js';
import { paperPdf } from './paper-pdf.js';

/** /api/jobs/:id/papers/:paper: intake sheet, estimate, job card, hand-over report, as PDFs on A4. */
export function paperRoutes(db: Knex): Router {
  const router = Router({ mergeParams: true });
  router.get('/:paper', async (req, res) => {
    const { id, paper } = valid(paperParam, req.params);
    valid(noQuery, req.query);
    const s = await loadJobState(db, id);
    const one = await instrumentById(db, s.job.instrument);
    // a paper would tell what is being read again blind
    if ((await openSessions(db, one.id)).length > 0) throw new ProblemError('not-now', { detail: 'A second reading is open. Finish it first.' });
    const now = new Date().toISOString();
    const { due } = s.job.limits;
    const head = await headOf(db, one, now, [['Job', s.job.title], ...(due === null ? [] : [['Due', dateText(due)] as const])]);
    const pdf = await paperPdf(await JOB_PAPERS[paper]({ db, s, one, head, names: namesOf(s.state.anatomy, s.state.parts) }), now);
    res.attachment(`${paper} ${one.label}.pdf`);
    res.type('application/pdf').send(pdf);
  });
  return router;
}
