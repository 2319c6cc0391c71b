import { idParam, keepConsent, withdrawConsent } from '@rinnovo/contract';
import { ofChoice } from '@rinnovo/core/check';
import { choiceNow, costNow, type YesGiven } from '@rinnovo/core/job';
import { priceWithWork } from '@rinnovo/core/remedy';
import { Router } from 'express';
import type { Knex } from 'knex';
import { decisionById, numbersOf } from '../decisions/queries.js';
import { ProblemError } from '../http/problems.js';
import { lockJob } from '../db/locks.js';
import { writeRoute } from '../http/write.js';
import { loadJobState } from '../jobs/job-state.js';
import { demandNothingHidden } from '../readings/sessions.js';
import { inThread } from '../sums/pool.js';
import { consentsOf } from './queries.js';

/** /api/consents/:id: what the owner agreed to; the server keeps its own price and options. */
export function consentRoutes(db: Knex): Router {
  const router = Router();
  router.put(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: keepConsent,
      precondition: 'create',
      run: async ({ params, body }, { trx, person, writeId }) => {
        const held = await decisionById(trx, body.decision);
        if (held) await demandNothingHidden(trx, await lockJob(trx, held.job));
        const decision = await decisionById(trx, body.decision);
        if (!decision || decision.undoneAt) throw new ProblemError('not-found', { detail: 'No decision in force has that id.' });
        const chosen = decision.options.find((o) => o.id === decision.option);
        const s = await loadJobState(trx, decision.job);
        const { settings } = s.state;
        const choice = choiceNow(decision, s.record.plan);
        const whole = await inThread('evaluation', { state: s.state, plan: s.record.plan });
        const given: YesGiven = { ...costNow(s, decision.id, choice, s.state), numbers: numbersOf(ofChoice(whole, choice.id)) };
        await trx('consents').insert({
          id: params.id,
          job: decision.job,
          decision: decision.id,
          how: body.how,
          said: body.said,
          price: priceWithWork(chosen?.price ?? 0, chosen?.minutes ?? 0, settings),
          options: JSON.stringify(decision.options.map((o) => ({ id: o.id, kind: o.kind, price: priceWithWork(o.price, o.minutes, settings) }))),
          given: JSON.stringify(given),
          person,
          write_id: writeId,
        });
        return { status: 201, body: (await consentsOf(trx, [decision.id])).find((c) => c.id === params.id) };
      },
    }),
  );
  return router;
}

/** /api/consent-withdrawals/:id: a yes that its owner took back; the yes itself stays. */
export function withdrawalRoutes(db: Knex): Router {
  const router = Router();
  router.put(
    '/:id',
    writeRoute(db, {
      params: idParam,
      body: withdrawConsent,
      precondition: 'create',
      run: async ({ params, body }, { trx, person, writeId }) => {
        const held = (await trx('consents').where({ id: body.consent }).first('job', 'decision')) as { job: string; decision: string } | undefined;
        if (!held) throw new ProblemError('not-found', { detail: 'No consent has that id.' });
        await lockJob(trx, held.job);
        const known = (await consentsOf(trx, [held.decision])).find((c) => c.id === body.consent);
        if (known?.withdrawn) throw new ProblemError('already-there', { detail: 'That consent is already withdrawn.', current: known });
        await trx('consent_withdrawals').insert({ id: params.id, consent: body.consent, said: body.said, person, write_id: writeId });
        return { status: 201, body: (await consentsOf(trx, [held.decision])).find((c) => c.id === body.consent) };
      },
    }),
  );
  return router;
}
