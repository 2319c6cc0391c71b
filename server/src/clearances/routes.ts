import { clearToCut as schema, idParam } from '@rinnovo/contract';
import { choiceOf } from '@rinnovo/core/check';
import { differences, tiredAt } from '@rinnovo/core/gate';
import { sameRevisions } from '@rinnovo/core/instrument';
import { localeInUse } from '@rinnovo/words';
import { Router } from 'express';
import type { Knex } from 'knex';
import { lockJob } from '../db/locks.js';
import { ProblemError } from '../http/problems.js';
import { writeRoute } from '../http/write.js';
import { inHand, loadJobState } from '../jobs/job-state.js';
import { inThread } from '../sums/pool.js';
import { demandNothingHidden } from '../readings/sessions.js';
import { clearancesOf } from './queries.js';

/** /api/clearances/:id: clear to cut is a command; the server judges for itself. */
export function clearanceRoutes(db: Knex): Router {
  const router = Router();
  router.put(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: schema,
      precondition: 'create',
      run: async ({ params, body }, { trx, person, writeId }) => {
        await demandNothingHidden(trx, await lockJob(trx, body.job));
        const s = await loadJobState(trx, body.job);
        const decision = s.decisions.find((d) => d.id === body.decision);
        const choice = decision && choiceOf(s.record.plan, decision.choice);
        if (!choice) throw new ProblemError('not-now', { detail: 'That decision is no longer in force.' });
        if (!sameRevisions(s.revisions, body.revisions) || s.record.version !== body.planVersion) {
          throw new ProblemError('stale', {
            current: { planVersion: s.record.version, revisions: s.revisions },
            yours: { planVersion: body.planVersion, revisions: body.revisions },
          });
        }
        const now = new Date();
        const tired = tiredAt({ now, timeZone: localeInUse().timeZone, settings: s.state.settings, worked: s.ledger });
        const cut = { decision: decision.id, choice, plan: s.record.plan, state: s.state, said: body, today: now, tired };
        const { evaluation, gate: judged } = await inThread('gate', { job: inHand(s), cut });
        const numbers = evaluation.verdicts.map((v) => ({ id: v.id, clearance: v.clearance, class: v.class }));
        if (differences(body.seen, evaluation.verdicts).length > 0) throw new ProblemError('numbers-differ', { current: numbers, yours: body.seen });
        if (!judged.clear) throw new ProblemError('not-clear', { current: judged.items.filter((i) => !i.ok), yours: body.accepted });
        await trx('clearances').insert({
          id: params.id,
          job: body.job,
          decision: body.decision,
          plan_version: body.planVersion,
          chosen: JSON.stringify(choice),
          revisions: body.revisions,
          accepted: JSON.stringify(body.accepted),
          print: body.print && JSON.stringify(body.print),
          numbers: JSON.stringify(numbers),
          person,
          write_id: writeId,
        });
        return { status: 201, body: (await clearancesOf(trx, [body.decision])).find((c) => c.id === params.id) };
      },
    }),
  );
  return router;
}
