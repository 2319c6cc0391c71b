// What leaves a drawer and comes back to it, while two pots go in and one comes out again.
import { optionsFor } from '@rinnovo/core/house';
import { randomUUID } from 'node:crypto';
import type { BuyListLine, KeptStock, Problem, ReturnPlan, UsedIn } from '@rinnovo/contract';
import { newHardwareChoice, withChoice } from '@rinnovo/core/check';
import type { Bench } from '@rinnovo/core/gate';
import type { LedgerEntry } from '@rinnovo/core/job';
import { knownAt, type Anatomy, type Hole } from '@rinnovo/core/instrument';
import { valueOf } from '@rinnovo/core/measure';
import { demoWorkshop } from '@rinnovo/demo';
import { benchOf, loadJobState } from '../jobs/job-state.js';
import { testWorkshop, type TestWorkshop } from '../testing/workshop.js';

const job = demoWorkshop.jobs[0]!;
const instrument = demoWorkshop.instruments[0]!.id;
const pot = demoWorkshop.parts.find((p) => p.name === 'Pot 500 k, long bushing')!;
const hole = (id: string, y: number): Hole => ({
  id,
  name: `${id} hole`,
  kind: 'pot',
  face: 'top',
  frame: 'body',
  at: { x: 70, y },
  diameter: { value: 9.8, limit: 0.05, basis: { kind: 'stated' } },
  bare: null,
  through: true,
  depth: null,
  limit: 0.25,
  basis: { kind: 'stated' },
  hiddenBy: null,
  condition: 'sound',
});

describe('a drawer', () => {
  let w: TestWorkshop;
  const drawer = randomUUID();
  beforeAll(async () => {
    w = await testWorkshop();
    const s = await loadJobState(w.db, job.id);
    const document: Anatomy = { ...s.state.anatomy, holes: [...s.state.anatomy.holes, hole('volume', 300), hole('tone', 345)] };
    await w.change(`/api/instruments/${instrument}/anatomy`, s.revisions.anatomy, { document }).expect(200);
    const plan = ['volume', 'tone'].reduce((p, id) => withChoice(p, newHardwareChoice(id, { on: 'feature', feature: id }, pot.id)), s.record.plan);
    await w.change(`/api/jobs/${job.id}/plan`, 1, { revisions: knownAt({ anatomy: s.revisions.anatomy + 1 }), plan }).expect(200);
    for (const { item, version } of await drawers())
      if (item.kind === 'part' && item.part === pot.id) await w.remove(`/api/stock/${item.id}`, version).expect(200);
    await w.create(`/api/stock/${drawer}`, { id: drawer, kind: 'part', part: pot.id, quantity: 1, drawer: 'C1' }).expect(201);
  }, 30_000);
  afterAll(() => w.close());

  const drawers = async (): Promise<readonly KeptStock[]> => ((await w.get('/api/stock').expect(200)).body as { items: KeptStock[] }).items;
  const lies = async (): Promise<readonly [number, number]> => {
    const { item, reserved } = (await drawers()).find((k) => k.item.id === drawer)!;
    return [item.quantity, Object.values(reserved).reduce((n, x) => n + x, 0)];
  };
  /** Of this job's two pots, as the buy list of the whole shop has them. */
  const buy = async (): Promise<number> => {
    const { items } = (await w.get('/api/buy-list').expect(200)).body as { items: BuyListLine[] };
    return items.find((l) => l.what.kind === 'part' && l.what.part === pot.id)?.buy ?? 0;
  };
  async function optionOf(choice: string) {
    const s = await loadJobState(w.db, job.id);
    const of = s.record.plan.choices.find((c) => c.id === choice)!;
    return { s, option: optionsFor(s.state, s.record.plan, of, job.request).find((o) => o.proposal.kind === 'asItIs')! };
  }
  async function decide(choice: string): Promise<string> {
    const { s, option } = await optionOf(choice);
    const decision = randomUUID();
    const seen = option.evaluation.verdicts.map((v) => ({ id: v.id, clearance: v.clearance }));
    const body = { job: job.id, planVersion: s.record.version, revisions: s.revisions, choice, option: option.proposal.id, reason: 'r', seen };
    await w.create(`/api/decisions/${decision}`, body).expect(201);
    return decision;
  }
  const bench = async (): Promise<Bench> => benchOf(await loadJobState(w.db, job.id));
  async function log(more: object = {}) {
    const { operation, cards, now } = await bench();
    const seen = Object.fromEntries(cards[now]!.numbers.map((n) => [n.label, valueOf(n.working)]));
    const step = { operation: operation!.id, job: job.id, step: cards[now]!.key, outcome: 'done', wrong: null, note: '', minutes: 1, measured: null, seen };
    return w.create(`/api/ledger/${randomUUID()}`, { ...step, ...more });
  }

  it('gives a part to the decision that keeps it, loses it when it is fitted, is challenged when it is empty, and gets back what comes out', async () => {
    const moved = () => w.db('movements').where({ item: drawer }).orderBy('at').select('amount', 'why', 'note') as Promise<Record<string, unknown>[]>;
    // kept for a decision that is taken back, it is free again
    const gone = await decide('tone');
    expect(await lies()).toEqual([1, 1]);
    await w.remove(`/api/decisions/${gone}`, 1).expect(200);
    const earlier = (await moved()).length;
    const before = await buy();
    expect(await lies()).toEqual([1, 0]);
    const first = await decide('volume');
    expect(await lies()).toEqual([1, 1]);
    // the next one that wants it has to buy it
    expect((await optionOf('tone')).option.proposal.lacks).toEqual([{ kind: 'part', part: pot.id }]);
    expect((await bench()).cards.map((c) => c.kind)).toEqual(['fitHardware', 'solder', 'turnToStop', 'putKnobOn']);
    const { entry } = (await log()).body as { entry: LedgerEntry };
    expect(await lies()).toEqual([0, 0]);
    // not fitted after all, it lies there again and is kept for the same decision; then it is
    await w.create(`/api/ledger-corrections/${randomUUID()}`, { entry: entry.id, reason: '' }).expect(201);
    expect(await lies()).toEqual([1, 1]);
    await log().then((r) => expect(r.status).toBe(201));
    expect(await lies()).toEqual([0, 0]);
    // fitted, it is soldered though no other lies there
    for (let i = 0; i < 3; i++) await log().then((r) => expect(r.status).toBe(201));
    // one was to buy, and still is
    expect(await buy()).toBe(before);

    const second = await decide('tone');
    const b = await bench();
    expect(b.hindrances).toEqual([{ kind: 'gate', rule: 'partInHand', state: 'partInHand' }]);
    const refused = await log();
    expect([refused.status, (refused.body as Problem).type]).toEqual([409, '/problems/not-now']);
    expect((await log({ counted: ' ' })).status).toBe(400);
    const counted = await log({ counted: 'it came with the guitar' });
    expect(counted.status).toBe(201);
    expect(await lies()).toEqual([0, 0]);
    for (let i = 0; i < 3; i++) await log().then((r) => expect(r.status).toBe(201));
    expect((await moved()).slice(earlier).map((r) => [r['amount'], r['why'], r['note']])).toEqual([
      [1, 'reserved', ''],
      [-1, 'fitted', ''],
      [-1, 'reserved', ''],
      [1, 'fitted', ''],
      [1, 'reserved', ''],
      [-1, 'fitted', ''],
      [-1, 'reserved', ''],
      [1, 'counted', 'it came with the guitar'],
      [-1, 'fitted', ''],
    ]);

    // both stand with the job that they went into, and that its plan names them
    const uses = async (path: string) =>
      ((await w.get(path).expect(200)).body as { items: UsedIn[] }).items.map((u) => [u.label, u.title, u.amount, u.at === null]);
    const { label } = demoWorkshop.instruments[0]!;
    expect((await uses(`/api/parts/${pot.id}/used-in`)).filter((u) => u[0] === label)).toEqual([
      [label, job.title, 2, true],
      [label, job.title, 2, false],
    ]);
    expect(await uses(`/api/stock/${drawer}/used-in`)).toEqual([[label, job.title, 2, false]]);
    expect(await uses(`/api/parts/${randomUUID()}/used-in`)).toEqual([]);

    // out again: it goes back to the drawer that it came from
    const way = (await w.get(`/api/decisions/${second}/way-back`).expect(200)).body as ReturnPlan;
    const seen = way.numbers.map(({ id, clearance }) => ({ id, clearance }));
    await w.create(`/api/ways-back/${randomUUID()}`, { decision: second, reason: 'r', operations: way.operations, seen }).expect(201);
    await log().then((r) => expect(r.status).toBe(201));
    await log().then((r) => expect(r.status).toBe(201));
    expect(await lies()).toEqual([1, 0]);
    expect(await uses(`/api/stock/${drawer}/used-in`)).toEqual([[label, job.title, 1, false]]);
    expect(first).not.toBe(second);
  });

  it('only ever adds: neither a movement nor its drawer can be taken away, and an archived one comes back as it was', async () => {
    for (const sql of ['UPDATE movements SET amount = 9', 'DELETE FROM movements', 'TRUNCATE movements'])
      await expectAsync(w.db.raw(sql))
        .withContext(sql)
        .toBeRejectedWithError(/only ever added/);
    const { item, version } = (await drawers()).find((k) => k.item.id === drawer)!;
    await w.remove(`/api/stock/${drawer}`, version).expect(200);
    expect((await drawers()).some((k) => k.item.id === drawer)).toBeFalse();
    expect((await w.remove(`/api/stock/${drawer}`, version + 1)).status).toBe(404);
    await w.create(`/api/stock/${drawer}`, item).expect(201);
    expect(await lies()).toEqual([item.quantity, 0]);
    expect((await w.change(`/api/stock/${drawer}`, version, item)).status).toBe(412);
  });
});
