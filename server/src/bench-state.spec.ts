// What was changed on the bench is no work of the decision that asked for it: that one can still be taken back, and nothing is forgotten.
import { randomUUID } from 'node:crypto';
import { optionsFor } from '@rinnovo/core/house';
import { demoWorkshop } from '@rinnovo/demo';
import { benchOf, loadJobState } from './jobs/job-state.js';
import { testWorkshop, type TestWorkshop } from './testing/workshop.js';

const job = demoWorkshop.jobs[0]!;

describe('strings that came off for a decision', () => {
  let w: TestWorkshop;
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(() => w.close());

  const bench = async () => benchOf(await loadJobState(w.db, job.id));
  async function log(): Promise<string> {
    const { operation, cards, now } = await bench();
    const step = { operation: operation!.id, job: job.id, step: cards[now]!.key, outcome: 'done', wrong: null, note: '', minutes: 1, measured: null, seen: {} };
    await w.create(`/api/ledger/${randomUUID()}`, step).expect(201);
    return operation!.kind;
  }

  it('do not keep it from being taken back, are off still, and go on again at the bench though nothing else is left to do', async () => {
    const s = await loadJobState(w.db, job.id);
    const choice = s.record.plan.choices[0]!;
    const option = optionsFor(s.state, s.record.plan, choice, job.request)[0]!;
    const decision = randomUUID();
    const seen = option.evaluation.verdicts.map((v) => ({ id: v.id, clearance: v.clearance }));
    const chosen = { job: job.id, planVersion: s.record.version, revisions: s.revisions, choice: choice.id, option: option.proposal.id, reason: 'r', seen };
    await w.create(`/api/decisions/${decision}`, chosen).expect(201);
    await w.db('operations').where({ kind: 'meterPart' }).update({ state: 'done' });
    expect(await log()).toBe('takeStringsOff');
    await w.db('operations').where({ kind: 'meterPart' }).update({ state: 'proposed' });
    // nothing of its own has begun
    await w.get(`/api/decisions/${decision}/way-back`).expect(409);
    await w.remove(`/api/decisions/${decision}`, 1).expect(200);
    const { operations } = (await w.get(`/api/jobs/${job.id}/work`).expect(200)).body as { operations: { kind: string; state: string }[] };
    expect(operations.map((o) => [o.kind, o.state])).toEqual([
      ['takeStringsOff', 'done'],
      ['stringUp', 'proposed'],
    ]);
    expect(await log()).toBe('stringUp');
    expect((await bench()).operation).toBeNull();
  }, 30_000);
});
