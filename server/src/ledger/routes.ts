import { afterStep } from '@rinnovo/core/house';
import { idParam, logStep, pageQuery } from '@rinnovo/contract';
import { quantityOf } from '@rinnovo/core/quantity';
import { Router } from 'express';
import type { Knex } from 'knex';
import { addRevision } from '../anatomy/queries.js';
import { lockJob } from '../db/locks.js';
import { ProblemError } from '../http/problems.js';
import { afterKey, keyOf, pageOf, readRoute } from '../http/read.js';
import { writeRoute } from '../http/write.js';
import { inHand, loadJobState } from '../jobs/job-state.js';
import { inThread } from '../sums/pool.js';
import { keepOperations } from '../operations/queries.js';
import { countOne, moveParts } from '../stock/take.js';
import { demandNothingHidden, openSessions } from '../readings/sessions.js';
import { withheld } from '../readings/withheld.js';
import { refused } from './refused.js';
import { ledgerAfter } from './queries.js';

/** /api/ledger/:id: logging a step is a command; entries are only added. */
export function ledgerRoutes(db: Knex): Router {
  const router = Router();
  router.put(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: logStep,
      precondition: 'create',
      run: async ({ params, body }, { trx, person, writeId }) => {
        const found = (await trx('operations').where({ id: body.operation }).first('job')) as { job: string } | undefined;
        // work that the plan has made since is not stored yet
        const job = found?.job ?? body.job;
        if (job === undefined) throw new ProblemError('not-found', { detail: 'No operation has that id.' });
        const instrument = await lockJob(trx, job);
        await demandNothingHidden(trx, instrument);
        const first = await loadJobState(trx, job);
        const newest = first.revisions;
        if (!first.operations.some((o) => o.id === body.operation)) throw new ProblemError('not-found', { detail: 'No operation has that id.' });
        const outcome = await inThread('step', { job: inHand(first), state: first.state, said: body, today: new Date() });
        if (outcome.kind !== 'logged') throw refused(outcome, body);
        const anatomy = afterStep({ outcome, said: body, entry: params.id, ledger: first.ledger }, first.state);
        const after = anatomy ? await addRevision(trx, newest, { instrument, document: anatomy, cause: 'work', entry: params.id, person, writeId }) : newest;
        await keepOperations(trx, [outcome.operation], writeId);
        await trx('operations').where({ id: body.operation }).update({ state: outcome.state, write_id: writeId });
        await trx('ledger').insert({
          id: params.id,
          instrument,
          job: first.job.id,
          operation: body.operation,
          kind: outcome.operation.kind,
          step: body.step,
          outcome: body.outcome,
          note: body.note,
          minutes: body.minutes,
          wrong: body.wrong ? JSON.stringify(body.wrong) : null,
          measured:
            body.measured && outcome.target ? JSON.stringify({ target: outcome.target, unit: quantityOf(outcome.target).unit, ...body.measured }) : null,
          numbers: JSON.stringify(outcome.numbers),
          revision_before: newest.anatomy,
          revision_after: after.anatomy,
          person,
          write_id: writeId,
        });
        const taking = { decision: outcome.operation.decision, person, writeId };
        if (outcome.counted !== null) await countOne(trx, outcome.counted, body.counted ?? '', taking);
        await moveParts(trx, first.job.id, outcome.moves, params.id, taking);
        const now = await loadJobState(trx, first.job.id);
        const entry = now.ledger.find((l) => l.id === params.id);
        return { status: 201, body: { entry, revisions: after, operations: now.operations } };
      },
    }),
  );
  return router;
}

/** Routes below /api/instruments/:id/ledger. */
export function instrumentLedgerRoutes(db: Knex): Router {
  const router = Router({ mergeParams: true });
  router.get(
    '/',
    readRoute(idParam, pageQuery, async ({ id }, { after, limit }) => {
      const [all, hidden] = await Promise.all([ledgerAfter(db, id, afterKey(after, 'time', 'id'), limit), openSessions(db, id)]);
      const rows = withheld(all, hidden);
      return {
        body: pageOf(
          rows,
          limit,
          (r) => keyOf(r.at, r.id),
          (r) => r,
        ),
      };
    }),
  );
  return router;
}
