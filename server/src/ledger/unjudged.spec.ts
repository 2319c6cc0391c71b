// A cut that was made while nobody could judge it: it is kept as a fact of the wood, and nothing is cut after it until somebody has looked.
import { randomUUID } from 'node:crypto';
import type { LedgerEntry } from '@rinnovo/core/job';
import type { Hindrance } from '@rinnovo/core/order';
import type { Page, Problem } from '@rinnovo/contract';
import { demoWorkshop } from '@rinnovo/demo';
import { logNext, logUpToCut, readyToRoute } from '../testing/at-the-cut.js';
import { readOnce } from '../testing/cleared.js';
import type { TestWorkshop } from '../testing/workshop.js';

const instrument = demoWorkshop.instruments[0]!.id;

describe('a cut that was made without being judged', () => {
  let w: TestWorkshop;
  beforeEach(async () => {
    ({ w } = await readyToRoute());
    await logUpToCut(w);
  }, 60_000);
  afterEach(() => w.close());

  const entries = async () => ((await w.get(`/api/instruments/${instrument}/ledger?limit=1000`).expect(200)).body as Page<LedgerEntry>).items;
  const look = (entry: string, found = 'as deep as planned') => w.create(`/api/ledger-looks/${randomUUID()}`, { entry, found });
  const disagree = () => readOnce(w, { instrument, target: { quantity: 'bodyThickness', feature: 'body' }, value: 40, blind: true });
  const blocked = (body: unknown): boolean => (body as { current: readonly Hindrance[] }).current.some((h) => h.kind === 'gate' && h.state === 'lookedAt');

  it('is kept though the gate would refuse it, with when it was done, and blocks the next cut until it is looked at', async () => {
    await disagree();
    expect((await logNext(w)).answer.status).toBe(409);
    const done = '2026-11-20T09:15:00.000Z';
    const { answer } = await logNext(w, { unjudged: 'the server did not answer', done });
    expect(answer.status).toBe(201);
    const { entry } = answer.body as { entry: LedgerEntry };
    expect([entry.done, entry.unjudged]).toEqual([done, { why: 'the server did not answer', looked: null }]);
    expect(Date.parse(entry.at)).toBeGreaterThan(Date.parse(done));

    const next = (await logNext(w)).answer;
    expect([next.status, (next.body as Problem).type, blocked(next.body)]).toEqual([409, '/problems/not-now', true]);
    expect([(await look(randomUUID())).status, (await look(entry.id, ' ')).status]).toEqual([404, 400]);
    const seen = await look(entry.id);
    expect([seen.status, (seen.body as LedgerEntry).unjudged?.looked?.found]).toEqual([201, 'as deep as planned']);
    expect((await look(entry.id)).status).toBe(409);
    // what was already cut is fact; what is still to be cut must clear
    const after = (await logNext(w)).answer;
    expect([after.status, (after.body as Problem).type]).toEqual([409, '/problems/not-clear']);
    expect((await entries()).filter((l) => l.unjudged).map((l) => l.unjudged?.looked?.person)).toEqual([w.person]);
  });

  it('blocks the cut that would clear too, and once it is looked at that goes on', async () => {
    const { answer } = await logNext(w, { unjudged: 'no network in the yard' });
    expect(answer.status).toBe(201);
    const next = (await logNext(w)).answer;
    expect([next.status, blocked(next.body)]).toEqual([409, true]);
    await look((answer.body as { entry: LedgerEntry }).entry.id).expect(201);
    expect((await logNext(w)).answer.status).toBe(201);
  });

  it('is a step like others where it is judged: that one is not looked at', async () => {
    const { answer } = await logNext(w, { done: '2026-11-20T09:15:00Z' });
    const { entry } = answer.body as { entry: LedgerEntry };
    expect([answer.status, entry.unjudged, entry.done]).toEqual([201, null, '2026-11-20T09:15:00.000Z']);
    expect((await look(entry.id)).status).toBe(404);
    expect((await logNext(w, { done: 'yesterday' })).answer.status).toBe(400);
  });

  it('is only the step at hand, and its numbers are those that were at the machine', async () => {
    const other = (await logNext(w, { step: '99 cut', unjudged: 'so it was' })).answer;
    expect([other.status, (other.body as Problem).type]).toEqual([409, '/problems/not-now']);
    const { answer } = await logNext(w, { seen: { finishedDepth: 12 }, unjudged: 'so it was' });
    expect([answer.status, (answer.body as { entry: LedgerEntry }).entry.numbers]).toEqual([201, { finishedDepth: 12 }]);
  });
});
