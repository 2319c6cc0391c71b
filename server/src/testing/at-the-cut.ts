import { optionsFor } from '@rinnovo/core/house';
import { knownAt } from '@rinnovo/core/instrument';
import { valueOf } from '@rinnovo/core/measure';
import type { PickupChoice } from '@rinnovo/core/check';
import { demoWorkshop } from '@rinnovo/demo';
import { randomUUID } from 'node:crypto';
import type { Response } from 'supertest';
import { benchOf, loadJobState } from '../jobs/job-state.js';
import { clearForCut } from './cleared.js';
import { expectedReading } from './expected-reading.js';
import { testWorkshop, type TestWorkshop } from './workshop.js';

const job = demoWorkshop.jobs[0]!;
const gauge = demoWorkshop.tools[1]!.id;

/** A re-route is decided, everything before the passes is done, and it is clear to cut; what was done is written straight into the tables. */
export async function readyToRoute(): Promise<{ w: TestWorkshop; decision: string }> {
  const { w, decision } = await decidedToRoute();
  const cleared = await clearForCut(w, job.id, decision);
  if (cleared.status !== 201) throw new Error(JSON.stringify(cleared.body));
  return { w, decision };
}

/** A re-route is decided and agreed to, and everything before the passes, or before the first wood is taken, is done but the readings and the clearance. */
export async function decidedToRoute(bored = true): Promise<{ w: TestWorkshop; decision: string }> {
  const w = await testWorkshop();
  const s = await loadJobState(w.db, job.id);
  const option = optionsFor(s.state, s.record.plan, s.record.plan.choices[0] as PickupChoice, job.request)[0]!;
  const seen = option.evaluation.verdicts.map((v) => ({ id: v.id, clearance: v.clearance }));
  const decision = randomUUID();
  await w
    .create(`/api/decisions/${decision}`, {
      job: job.id,
      planVersion: 1,
      revisions: knownAt({ anatomy: 1 }),
      choice: 'neck pickup',
      option: option.proposal.id,
      reason: 'r',
      seen,
    })
    .expect(201);
  await w
    .db('operations')
    .whereIn('kind', ['meterPart', 'removePart', 'takeOffInsert', 'tracePlate', 'fixTemplate', ...(bored ? ['boreBulk'] : [])])
    .update({ state: 'done' });
  await w.create(`/api/consents/${randomUUID()}`, { decision, how: 'in person', said: 'go on' }).expect(201);
  const { operation, cards } = benchOf(await loadJobState(w.db, job.id));
  if (operation?.kind !== 'takeStringsOff') throw new Error('the strings come off first');
  const off = { operation: operation.id, job: job.id, step: cards[0]!.key, outcome: 'done', wrong: null, note: '', minutes: 5, measured: null, seen: {} };
  await w.create(`/api/ledger/${randomUUID()}`, off).expect(201);
  return { w, decision };
}

/** Logs what is to be done now on the bench, with the reading that it asks for as it is expected. */
export async function logNext(w: TestWorkshop, more: object = {}): Promise<{ readonly kind: string; readonly answer: Response }> {
  const bench = benchOf(await loadJobState(w.db, job.id));
  const card = bench.cards[bench.now]!;
  const seen = Object.fromEntries(card.numbers.map((n) => [n.label, valueOf(n.working)]));
  const measured = expectedReading(card, gauge);
  const said = { outcome: 'done', wrong: null, note: '', minutes: 1.5, measured, seen };
  return {
    kind: card.kind,
    answer: await w.create(`/api/ledger/${randomUUID()}`, { operation: bench.operation!.id, job: job.id, step: card.key, ...said, ...more }),
  };
}

/** Does every step before the next cut; throws when one is refused. */
export async function logUpToCut(w: TestWorkshop): Promise<void> {
  for (;;) {
    const bench = benchOf(await loadJobState(w.db, job.id));
    if (bench.cards[bench.now]?.kind === 'cut') return;
    const { answer } = await logNext(w);
    if (answer.status !== 201) throw new Error(JSON.stringify(answer.body));
  }
}
