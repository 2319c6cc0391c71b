import { randomUUID } from 'node:crypto';
import type { BuyListLine, Shop } from '@rinnovo/contract';
import type { PlanRecord } from '@rinnovo/core/job';
import { demoWorkshop } from '@rinnovo/demo';
import { testWorkshop, type TestWorkshop } from '../testing/workshop.js';

describe('the shop', () => {
  let w: TestWorkshop;
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(() => w.close());
  const list = async (): Promise<readonly BuyListLine[]> => ((await w.get('/api/buy-list').expect(200)).body as { items: BuyListLine[] }).items;

  it('buys what the plans need and the drawers do not hold, and not what is counted in', async () => {
    const tuner = demoWorkshop.parts.find((p) => p.name.startsWith('Modern tuner'))!;
    const line = (await list()).find((l) => l.what.kind === 'part' && l.what.part === tuner.id)!;
    expect([line.need, line.have, line.buy, line.leadDays, line.price]).toEqual([1, 0, 1, 10, 1850]);
    expect(Object.values(line.jobs).map((j) => [j.label, j.title, Object.values(j.places)])).toEqual([
      ['Sanderling', 'New electronics and tuners', ['Tuner hole 1']],
    ]);
    const id = randomUUID();
    await w.create(`/api/stock/${id}`, { id, kind: 'part', part: tuner.id, quantity: 6, drawer: 'B3' }).expect(201);
    expect((await list()).some((l) => l.what.kind === 'part' && l.what.part === tuner.id)).toBeFalse();
  });

  it('is of the plans as they are: what was kept of a job is worked out anew once its plan, its instrument or a decision changed', async () => {
    const first = await list();
    expect(await list()).toEqual(first);
    expect(Number((await w.db('needs').count('* as n').first())!['n'])).toBeGreaterThan(1);
    // a plan that needs nothing more
    const job = demoWorkshop.jobs.find((j) => first.some((l) => j.id in l.jobs))!;
    const { body, headers } = await w.get(`/api/jobs/${job.id}/plan`).expect(200);
    const record = body as PlanRecord;
    const version = Number(/\d+/.exec(headers['etag'] ?? '')![0]);
    await w.change(`/api/jobs/${job.id}/plan`, version, { revisions: record.revisions, plan: { ...record.plan, choices: [] } }).expect(200);
    const after = await list();
    expect(after.some((l) => job.id in l.jobs)).toBeFalse();
    await w.change(`/api/jobs/${job.id}/plan`, version + 1, { revisions: record.revisions, plan: record.plan }).expect(200);
    expect(await list()).toEqual(first);
    // and of a part that went in meanwhile
    await w.db('needs').update({ of: 'older' });
    expect(await list()).toEqual(first);
  });

  it('lets a cutter go, and keeps what readings rest on', async () => {
    const { tools, toolVersions } = (await w.get('/api/shop')).body as Shop;
    const cutter = tools.find((t) => t.kind === 'straight')!;
    const calliper = tools.find((t) => t.kind === 'calliper')!;
    const remove = (id: string, version: number) => w.remove(`/api/shop/tools/${id}`, version);
    expect((await remove(calliper.id, 1)).status).toBe(422);
    expect((await remove(cutter.id, 7)).status).toBe(412);
    expect((await remove(cutter.id, toolVersions[cutter.id]!)).status).toBe(200);
    const after = (await w.get('/api/shop')).body as Shop;
    expect(after.tools.some((t) => t.id === cutter.id)).toBeFalse();
    await w.create(`/api/shop/tools/${cutter.id}`, cutter).expect(201);
  });
});
