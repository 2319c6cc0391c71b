import { operationsNow } from '@rinnovo/core/house';
import { chooseRemedy, idParam, noQuery } from '@rinnovo/contract';
import { choiceOf, withChoice, type Choice } from '@rinnovo/core/check';
import type { Option } from '@rinnovo/core/remedy';
import { differences } from '@rinnovo/core/gate';
import { hasStarted, isOwn } from '@rinnovo/core/operation';
import { sameRevisions } from '@rinnovo/core/instrument';
import { createHash } from 'node:crypto';
import { Router } from 'express';
import Joi from 'joi';
import type { Knex } from 'knex';
import { lockJob } from '../db/locks.js';
import { ProblemError } from '../http/problems.js';
import { readRoute } from '../http/read.js';
import { writeRoute } from '../http/write.js';
import { loadJobState, type JobState } from '../jobs/job-state.js';
import { inThread } from '../sums/pool.js';
import { dropOperations, keepOperations, operationsOf } from '../operations/queries.js';
import { keepPlan } from '../plans/queries.js';
import { demandNothingHidden } from '../readings/sessions.js';
import { release, reserve } from '../stock/take.js';
import { returnSummary, wayBackOf } from './go-back.js';
import { decisionById, snapshot } from './queries.js';

/** /api/decisions/:id: choosing a remedy is a command; taking it back is refused once work on it has begun. */
export function decisionRoutes(db: Knex): Router {
  const router = Router();
  router.put(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: chooseRemedy,
      precondition: 'create',
      before: async ({ body }) => optionsOf(await loadJobState(db, body.job), body.choice),
      run: async ({ params, body }, { trx, person, writeId }, ready) => {
        await demandNothingHidden(trx, await lockJob(trx, body.job));
        const s = await loadJobState(trx, body.job);
        const earlier = s.decisions.find((d) => d.choice === body.choice);
        if (earlier) throw new ProblemError('already-there', { detail: 'An option is already chosen. Undo that decision first.', current: earlier });
        if (s.record.version !== body.planVersion || !sameRevisions(s.revisions, body.revisions)) {
          throw new ProblemError('stale', {
            current: { planVersion: s.record.version, revisions: s.revisions },
            yours: { planVersion: body.planVersion, revisions: body.revisions },
          });
        }
        const choice = choiceOf(s.record.plan, body.choice);
        if (!choice) throw new ProblemError('cannot-be', { errors: [{ pointer: '/choice', detail: 'is not a choice of this plan' }] });
        // worked out before anything was locked; again where something moved since
        const { options } = ready?.of === askedOf(s, choice) ? ready : await optionsOf(s, choice.id);
        const chosen = options.find((o) => o.proposal.id === body.option);
        if (!chosen) throw new ProblemError('cannot-be', { errors: [{ pointer: '/option', detail: 'is not an option of this plan' }] });
        const differ = differences(body.seen, chosen.evaluation.verdicts);
        if (differ.length > 0) {
          throw new ProblemError('numbers-differ', {
            current: chosen.evaluation.verdicts.map((v) => ({ id: v.id, clearance: v.clearance })),
            yours: body.seen,
          });
        }
        const { choice: decided } = chosen.proposal;
        const plan = withChoice(s.record.plan, decided);
        const whole = await inThread('evaluation', { state: s.state, plan });
        await trx('decisions').insert({
          id: params.id,
          job: body.job,
          option: body.option,
          reason: body.reason,
          person,
          plan_version: body.planVersion,
          revisions: body.revisions,
          choice: body.choice,
          chosen: JSON.stringify(decided),
          options: JSON.stringify(options.map((o) => snapshot(o, o === chosen ? whole : null))),
          write_id: writeId,
        });
        const record = await keepPlan(trx, { job: body.job, plan, revisions: body.revisions, version: s.record.version + 1, writeId });
        const operations = operationsNow([], [{ decision: params.id, job: body.job, choice: decided }], s.state);
        await keepOperations(trx, operations, writeId);
        await reserve(trx, decided.returns ? null : decided.part, { decision: params.id, person, writeId });
        return {
          status: 201,
          body: { decision: await decisionById(trx, params.id), plan: record, operations: (await loadJobState(trx, body.job)).operations },
        };
      },
    }),
  );
  router.get(
    '/:id/way-back',
    readRoute(idParam, noQuery, async ({ id }) => ({ body: returnSummary(await wayBackOf(db, id)) })),
  );
  router.delete(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: Joi.any(),
      precondition: 'change',
      run: async ({ params }, { trx, person, writeId }) => {
        const held = await decisionById(trx, params.id);
        if (held) await lockJob(trx, held.job);
        const decision = await decisionById(trx, params.id);
        if (!decision || decision.undoneAt) throw new ProblemError('not-found', { detail: 'No decision in force has that id.' });
        const operations = await operationsOf(trx, [params.id]);
        const started = operations.filter((o) => isOwn(o) && hasStarted(o));
        if (started.length > 0) {
          throw new ProblemError('work-started', { detail: 'Wood is already cut. Plan the way back instead.', current: started });
        }
        await dropOperations(trx, params.id, writeId);
        await trx('decisions')
          .where({ id: params.id })
          .update({ undone_at: trx.raw('clock_timestamp()'), write_id: writeId });
        await release(trx, { decision: params.id, person, writeId });
        return { status: 200, body: await decisionById(trx, params.id) };
      },
    }),
  );
  return router;
}

/** The ways out of a choice, and what they were worked out from. */
interface OptionsReady {
  readonly of: string;
  readonly options: readonly Option[];
}

async function optionsOf(s: JobState, id: string): Promise<OptionsReady> {
  const choice = choiceOf(s.record.plan, id);
  if (!choice) return { of: '', options: [] };
  return { of: askedOf(s, choice), options: await inThread('options', { state: s.state, plan: s.record.plan, choice, request: s.job.request }) };
}

/** What the ways out rest on, in a word: the same word, the same ways out. */
function askedOf({ state, record, job }: JobState, choice: Choice): string {
  return createHash('sha256')
    .update(JSON.stringify([{ ...state, done: [...state.done] }, record.plan, choice, job.request]))
    .digest('hex');
}
