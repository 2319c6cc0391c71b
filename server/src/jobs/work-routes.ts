import { idParam, noQuery } from '@rinnovo/contract';
import { Router } from 'express';
import type { Knex } from 'knex';
import { clearancesOf } from '../clearances/queries.js';
import { consentsOf } from '../consents/queries.js';
import { decisionsOf } from '../decisions/queries.js';
import { ownerChangesOf, ownershipOf } from '../instruments/owner-changes.js';
import { openSessions } from '../readings/sessions.js';
import { withheld } from '../readings/withheld.js';
import { readRoute } from '../http/read.js';
import { waiversOf } from '../operations/queries.js';
import { loadJobState } from './job-state.js';
import { jobById } from './jobs.js';

/** /api/jobs/:id/work: decisions, operations, waivers and clearances of a job in one answer. */
export function workRoutes(db: Knex): Router {
  const router = Router({ mergeParams: true });
  router.get(
    '/',
    readRoute(idParam, noQuery, async ({ id }) => {
      const { instrument } = await jobById(db, id);
      const decisions = await decisionsOf(db, id);
      const live = decisions.filter((d) => d.undoneAt === null).map((d) => d.id);
      const [operations, waivers, clearances, consents, ownerChanges] = await Promise.all([
        decisions.length === 0 ? [] : loadJobState(db, id).then((s) => s.operations),
        waiversOf(db, id),
        clearancesOf(db, live),
        consentsOf(db, live),
        ownerChangesOf(db, id),
      ]);
      const hidden = await openSessions(db, instrument);
      return { body: withheld({ decisions, operations, waivers, clearances, consents, owner: await ownershipOf(db, id), ownerChanges }, hidden) };
    }),
  );
  return router;
}
