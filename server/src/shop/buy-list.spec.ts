import { randomUUID } from 'node:crypto';
import type { BuyListLine, Shop } from '@rinnovo/contract';
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
