import type { DecisionOption } from '@rinnovo/core/job';
import { operationsNow } from '@rinnovo/core/house';
import { goBackFrom, idParam } from '@rinnovo/contract';
import { withChoice } from '@rinnovo/core/check';
import { differences } from '@rinnovo/core/gate';
import { Router } from 'express';
import type { Knex } from 'knex';
import { addRevision } from '../anatomy/queries.js';
import { lockJob } from '../db/locks.js';
import { ProblemError } from '../http/problems.js';
import { writeRoute } from '../http/write.js';
import { loadJobState } from '../jobs/job-state.js';
import { dropOperations, keepOperations } from '../operations/queries.js';
import { keepPlan } from '../plans/queries.js';
import { release } from '../stock/take.js';
import { returnSummary, wayBackOf, type WayBackOf } from './go-back.js';
import { decisionById } from './queries.js';

/**
 * /api/ways-back/:id: going back from begun work is a decision of its own. What has not begun is dropped, what was cut so far stands in the
 * anatomy, and the operations that lead back take their place.
 */
export function wayBackRoutes(db: Knex): Router {
  const router = Router();
  router.put(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: goBackFrom,
      precondition: 'create',
      run: async ({ params, body }, { trx, person, writeId }) => {
        const held = await decisionById(trx, body.decision);
        if (!held) throw new ProblemError('not-found', { detail: 'No decision has that id.' });
        await lockJob(trx, held.job);
        const way = await wayBackOf(trx, body.decision);
        const { s, decision, back } = way;
        demandSeen(way, body);
        const newest = s.revisions;
        const entry = s.ledger.findLast((l) => way.operations.some((o) => o.id === l.operation))?.id ?? null;
        const revisions =
          back.anatomy === s.state.anatomy
            ? newest
            : await addRevision(trx, newest, { instrument: s.job.instrument, document: back.anatomy, cause: 'work', entry, person, writeId });
        await dropOperations(trx, decision.id, writeId);
        await trx('decisions')
          .where({ id: decision.id })
          .update({ undone_at: trx.raw('clock_timestamp()'), write_id: writeId });
        await release(trx, { decision: decision.id, person, writeId });
        await trx('decisions').insert({
          id: params.id,
          job: decision.job,
          option: 'goBack',
          reason: body.reason,
          person,
          plan_version: s.record.version + 1,
          revisions,
          choice: decision.choice,
          chosen: JSON.stringify(back.choice),
          options: JSON.stringify([asOption(way)]),
          write_id: writeId,
        });
        const record = await keepPlan(trx, {
          job: decision.job,
          plan: withChoice(s.record.plan, back.choice),
          revisions,
          version: s.record.version + 1,
          writeId,
        });
        const then = { ...s.state, anatomy: back.anatomy, done: new Set<string>() };
        const operations = operationsNow([], [{ decision: params.id, job: decision.job, choice: back.choice }], then);
        await keepOperations(trx, operations, writeId);
        return {
          status: 201,
          body: { decision: await decisionById(trx, params.id), plan: record, operations: (await loadJobState(trx, decision.job)).operations },
        };
      },
    }),
  );
  return router;
}

/** What was on the screen must be what the server works out. */
function demandSeen(way: WayBackOf, body: { readonly operations: readonly string[]; readonly seen: Parameters<typeof differences>[0] }): void {
  const { operations } = way.back;
  const same = operations.length === body.operations.length && operations.every((kind) => body.operations.includes(kind));
  if (!same || differences(body.seen, way.evaluation.verdicts).length > 0)
    throw new ProblemError('numbers-differ', { current: returnSummary(way), yours: { operations: body.operations, seen: body.seen } });
}

function asOption(way: WayBackOf): DecisionOption {
  const { numbers, stays, minutes } = returnSummary(way);
  return { id: 'goBack', kind: 'goBack', part: way.back.choice.part, total: 0, minutes, price: 0, excluded: null, numbers, stays };
}
