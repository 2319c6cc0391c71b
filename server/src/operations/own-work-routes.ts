import { idParam, keepOwnWork, type KeepOwnWork } from '@rinnovo/contract';
import { sequence } from '@rinnovo/core/house/lists';
import { featureOf } from '@rinnovo/core/instrument';
import { hasStarted, type Operation } from '@rinnovo/core/operation';
import { RuleCircleError } from '@rinnovo/core/order';
import type { PlannedOperation } from '@rinnovo/core/work';
import { operationTitle } from '@rinnovo/words';
import { Router } from 'express';
import Joi from 'joi';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';
import { lockJob } from '../db/locks.js';
import { writeRoute } from '../http/write.js';
import { loadJobState, type JobState } from '../jobs/job-state.js';
import { keepOperations } from './queries.js';

/** /api/own-work/:id: work that is put into a job by hand, and taken out again until it has begun. */
export function ownWorkRoutes(db: Knex): Router {
  const router = Router();
  router.put(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: keepOwnWork,
      precondition: 'create',
      run: async ({ params, body }, { trx, writeId }) => {
        await lockJob(trx, body.job);
        const there = (await trx('operations').where({ id: params.id }).first('id')) as unknown;
        if (there) throw new ProblemError('already-there', { detail: 'That work is already in the job.' });
        const s = await loadJobState(trx, body.job);
        const made = madeByHand(params.id, body);
        demandKnown(s, body);
        demandNoCircle(s.operations, made);
        await keepOperations(trx, [made], writeId);
        return { status: 201, body: { operations: (await loadJobState(trx, body.job)).operations } };
      },
    }),
  );
  router.delete(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: Joi.any(),
      precondition: 'change',
      run: async ({ params }, { trx, writeId }) => {
        const mine = () =>
          trx('operations').where({ id: params.id }).whereRaw(`source->>'of' = 'hand'`).first('job', 'state') as Promise<
            Pick<Operation, 'job' | 'state'> | undefined
          >;
        const held = await mine();
        if (held) await lockJob(trx, held.job);
        const row = await mine();
        if (!row || row.state === 'dropped') throw new ProblemError('not-found', { detail: 'No work of your own has that id.' });
        if (hasStarted(row)) throw new ProblemError('work-started', { detail: 'That work has begun. Its entries stay in the ledger.' });
        await trx('operations').where({ id: params.id }).update({ state: 'dropped', write_id: writeId });
        return { status: 200, body: { operations: (await loadJobState(trx, row.job)).operations } };
      },
    }),
  );
  return router;
}

function madeByHand(id: string, { job, kind, feature, line, minutes, wait, phase, after, before }: KeepOwnWork): Operation {
  return {
    id,
    job,
    decision: '',
    source: { of: 'hand', id: job },
    key: id,
    kind,
    subject: { aspect: 'anatomy', id: feature ?? '' },
    does: [],
    lapses: [],
    state: 'proposed',
    rank: null,
    own: { line, minutes, wait, phase, after, before },
  };
}

/** What it names must be there: the place on the instrument, the work in the job. */
function demandKnown(s: JobState, { feature, after, before }: KeepOwnWork): void {
  const wrong = (pointer: string, detail: string): ProblemError => new ProblemError('cannot-be', { errors: [{ pointer, detail }] });
  const { anatomy } = s.state;
  if (feature !== null && !featureOf(anatomy, feature)) throw wrong('/feature', 'is not on this instrument');
  const known = new Set(s.operations.map((o) => o.id));
  if (after.some((id) => !known.has(id))) throw wrong('/after', 'must be work of this job');
  if (before.some((id) => !known.has(id))) throw wrong('/before', 'must be work of this job');
}

/** Throws with the members of a circle that the rules and the own work would make together. */
function demandNoCircle(operations: readonly PlannedOperation[], made: Operation): void {
  const placed = { ...made, at: { features: [], cavities: [], zones: [], holes: [] }, bench: { needs: [], makes: [] } };
  // what is changed on the bench goes where the work asks for it
  const all = [...operations.filter((o) => o.source.of !== 'job'), placed];
  try {
    sequence(all);
  } catch (error) {
    if (!(error instanceof RuleCircleError)) throw error;
    const members = error.members.flatMap((id) => all.filter((o) => o.id === id));
    throw new ProblemError('cannot-be', {
      errors: [{ pointer: '/after', detail: `goes round in a circle: ${members.map(operationTitle).join(', ')}` }],
      current: error.members,
    });
  }
}
