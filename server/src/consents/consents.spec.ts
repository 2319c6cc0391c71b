// The owner's yes: kept with the server's own price and options, refused when it says nothing or its decision is not in force.
import type { Consent } from '@rinnovo/core/job';
import { optionsFor } from '@rinnovo/core/house';
import { randomUUID } from 'node:crypto';
import type { Problem } from '@rinnovo/contract';
import { choiceOf } from '@rinnovo/core/check';
import { priceWithWork } from '@rinnovo/core/remedy';
import { demoWorkshop } from '@rinnovo/demo';
import { loadJobState } from '../jobs/job-state.js';
import { testWorkshop, type TestWorkshop } from '../testing/workshop.js';

const job = demoWorkshop.jobs[0]!;

describe('the owner’s consent, through the API', () => {
  let w: TestWorkshop;
  let decision: string;
  let prices: readonly number[];
  beforeAll(async () => {
    w = await testWorkshop();
    const s = await loadJobState(w.db, job.id);
    const choice = choiceOf(s.record.plan, 'neck pickup')!;
    const options = optionsFor(s.state, s.record.plan, choice, job.request);
    prices = options.map((o) => priceWithWork(o.proposal.price, o.minutes, s.state.settings));
    const keep = options.find((o) => o.proposal.kind === 'keep')!;
    decision = randomUUID();
    const seen = keep.evaluation.verdicts.map((v) => ({ id: v.id, clearance: v.clearance }));
    const body = { job: job.id, planVersion: 1, revisions: s.revisions, choice: choice.id, option: keep.proposal.id, reason: 'she likes it', seen };
    await w.create(`/api/decisions/${decision}`, body).expect(201);
  }, 30_000);
  afterAll(() => w.close());

  const said = async (): Promise<readonly Consent[]> => ((await w.get(`/api/jobs/${job.id}/work`)).body as { consents: Consent[] }).consents;
  const yes = (more: object = {}): object => ({ decision, how: 'by phone', said: 'leave it', ...more });

  it('is refused without words, by a way that nobody asks, and for a decision that is not there', async () => {
    for (const [body, status, pointer] of [
      [yes({ said: '' }), 400, '/said'],
      [yes({ how: 'by pigeon' }), 400, '/how'],
      [yes({ price: 1 }), 400, '/price'],
      [yes({ decision: randomUUID() }), 404, undefined],
    ] as const) {
      const answer = await w.create(`/api/consents/${randomUUID()}`, body);
      expect([answer.status, (answer.body as Problem).errors?.[0]?.pointer]).toEqual([status, pointer]);
    }
    expect((await said()).filter((c) => c.said !== 'leave it')).toEqual([]);
  });

  it('keeps what the server works out, not what the page says, and cannot be written over', async () => {
    const id = randomUUID();
    await w.create(`/api/consents/${id}`, yes()).expect(201);
    const [kept] = await said();
    expect(kept?.options.map((o) => o.price)).toEqual([...prices]);
    expect(kept?.price).toBe(kept?.options.find((o) => o.kind === 'keep')?.price);
    expect((await w.create(`/api/consents/${id}`, yes({ said: 'cut it' }))).status).toBeGreaterThanOrEqual(400);
    expect((await said()).map((c) => c.said)).toEqual(['leave it']);
  });

  it('is not taken for a decision that was taken back', async () => {
    await w.db('decisions').where({ id: decision }).update({ undone_at: w.db.fn.now() });
    expect((await w.create(`/api/consents/${randomUUID()}`, yes())).status).toBe(404);
    await w.db('decisions').where({ id: decision }).update({ undone_at: null });
  });
});
