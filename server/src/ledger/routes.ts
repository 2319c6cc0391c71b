import { afterStep } from '@rinnovo/core/house';
import { idParam, logStep, lookAtStep, pageQuery } from '@rinnovo/contract';
import { entryAfter } from '@rinnovo/core/record';
import { stepRefused } from '@rinnovo/words';
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
import { ledgerAfter, ledgerOfJob, rowOf, timesTakenBack } from './queries.js';

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
        if (outcome.kind !== 'logged') {
          const { code, extra } = stepRefused(outcome, body);
          throw new ProblemError(code, extra);
        }
        const anatomy = afterStep({ outcome, said: body, entry: params.id, ledger: first.ledger }, first.state);
        const known = anatomy ? await addRevision(trx, newest, { instrument, document: anatomy, cause: 'work', entry: params.id, person, writeId }) : newest;
        await keepOperations(trx, [outcome.operation], writeId);
        await trx('operations').where({ id: body.operation }).update({ state: outcome.state, write_id: writeId });
        const kept = { id: params.id, instrument, job: first.job.id, person, at: new Date().toISOString(), before: newest, after: known };
        await trx('ledger').insert({ ...rowOf(entryAfter(outcome, body, kept)), again: await timesTakenBack(trx, body), write_id: writeId });
        const taking = { decision: outcome.operation.decision, person, writeId };
        if (outcome.counted !== null) await countOne(trx, outcome.counted, body.counted ?? '', taking);
        await moveParts(trx, first.job.id, outcome.moves, params.id, taking);
        const now = await loadJobState(trx, first.job.id);
        const entry = now.ledger.find((l) => l.id === params.id);
        return { status: 201, body: { entry, revisions: known, operations: now.operations } };
      },
    }),
  );
  return router;
}

/** /api/ledger-looks/:id: what somebody found who looked at a step that was done without being judged; once, and it stays. */
export function lookRoutes(db: Knex): Router {
  const router = Router();
  router.put(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: lookAtStep,
      precondition: 'create',
      run: async ({ params, body }, { trx, person, writeId }) => {
        const held = (await trx('ledger').where({ id: body.entry }).whereNotNull('unjudged').first('job')) as { job: string } | undefined;
        if (!held) throw new ProblemError('not-found', { detail: 'No step without a verdict has that id.' });
        await lockJob(trx, held.job);
        const entry = async () => (await ledgerOfJob(trx, held.job)).find((l) => l.id === body.entry);
        const before = await entry();
        if (before?.unjudged?.looked) throw new ProblemError('already-there', { detail: 'That step has been looked at.', current: before });
        await trx('ledger_looks').insert({ id: params.id, ...body, person, write_id: writeId });
        return { status: 201, body: await entry() };
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
