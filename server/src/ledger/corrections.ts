import { takeBack } from '@rinnovo/core/house/lists';
import { idParam, takeStepBack } from '@rinnovo/contract';
import type { NotTakenBack } from '@rinnovo/core/job';
import type { OperationState } from '@rinnovo/core/operation';
import { notTakenBackText } from '@rinnovo/words';
import { Router } from 'express';
import type { Knex } from 'knex';
import { addRevision, anatomyOf, revisionsOf } from '../anatomy/queries.js';
import { lockJob } from '../db/locks.js';
import { ProblemError } from '../http/problems.js';
import { writeRoute } from '../http/write.js';
import { loadJobState } from '../jobs/job-state.js';
import { demandNothingHidden } from '../readings/sessions.js';
import { moveBack } from '../stock/take.js';
import { addCorrection, ledgerAfter, MOST_ENTRIES, writeOf } from './queries.js';

/** /api/ledger-corrections/:id: the newest step was not done after all. Its entry is kept with the reason, its operation is open again, what it moved and drew goes the other way. */
export function correctionRoutes(db: Knex): Router {
  const router = Router();
  router.put(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: takeStepBack,
      precondition: 'create',
      run: async ({ params: { id }, body: { entry, reason } }, { trx, person, writeId }) => {
        const found = (await trx('ledger').where({ id: entry }).first('job', 'operation')) as { job: string; operation: string } | undefined;
        if (!found) throw refusalOf('unknown');
        const instrument = await lockJob(trx, found.job);
        await demandNothingHidden(trx, instrument);
        const { state } = (await trx('operations').where({ id: found.operation }).forNoKeyUpdate().first('state')) as { state: OperationState };
        const ledger = await ledgerAfter(trx, instrument, null, MOST_ENTRIES);
        const newest = await revisionsOf(trx, instrument);
        const back = takeBack(ledger, { entry, reason, at: new Date(), operation: state, revisions: newest });
        if (typeof back === 'string') throw refusalOf(back);
        const { revision } = back;
        const before = revision === null ? null : (await anatomyOf(trx, instrument, revision)).document;
        const known = before ? await addRevision(trx, newest, { instrument, document: before, cause: 'restore', entry, person, writeId }) : newest;
        await trx('operations').where({ id: found.operation }).update({ state: back.state, write_id: writeId });
        await addCorrection(trx, { id, entry, reason, revision_after: known.anatomy, person, write_id: writeId });
        const write = await writeOf(trx, entry);
        if (write !== null && !(await moveBack(trx, entry, write, { person, writeId })))
          throw new ProblemError('not-now', { detail: 'The part that this step brought back has left its drawer.' });
        const { operations } = await loadJobState(trx, found.job);
        const kept = (await ledgerAfter(trx, instrument, null, MOST_ENTRIES)).find((l) => l.id === entry);
        return { status: 201, body: { entry: kept, revisions: known, operations } };
      },
    }),
  );
  return router;
}

function refusalOf(why: NotTakenBack): ProblemError {
  const detail = notTakenBackText(why);
  if (why === 'unknown') return new ProblemError('not-found', { detail });
  if (why === 'reasonMissing') return new ProblemError('cannot-be', { errors: [{ pointer: '/reason', detail }] });
  return new ProblemError(why === 'takenBack' ? 'already-there' : 'not-now', { detail });
}
