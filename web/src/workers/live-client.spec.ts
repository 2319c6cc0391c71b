// The real worker: answers equal the core's, the newest question wins, an old state is never answered from.
import { evaluatePlan, newPickupChoice, type PickupChoice, type Plan, type PlanState } from '@rinnovo/core/check';
import { settingsWith } from '@rinnovo/core/operation';
import type { Pickup } from '@rinnovo/core/part';
import { roundedRectangle } from '@rinnovo/core/shape';
import { anatomy } from '../testing/fixture';
import { LiveClient, Superseded } from './live-client';

const sheet = { kind: 'sheet' as const, part: 'p' };
const d = (value: number) => ({ value, limit: 0.05, basis: sheet });
const pickup: Pickup = {
  format: 1,
  id: 'p',
  kind: 'humbucker',
  name: 'P',
  levels: [{ id: 'base', shapes: [{ outline: roundedRectangle(69.5, 38.3, 3), limit: 0.05, basis: sheet }], from: 10, lowest: d(16.5) }],
  screws: { at: [{ x: 39, y: 0 }], diameter: 2.5, lowest: d(23) },
  poles: { spacing: d(49.5), rows: [0] },
  leads: 4,
  price: 1,
};
const state: PlanState = { anatomy, parts: { p: pickup }, stock: [], settings: settingsWith() };
const choice = (y: number): PickupChoice => ({
  ...newPickupChoice('pickup', 'p'),
  route: { at: { x: 0, y, turn: 0 }, pockets: [{ id: 'main', outline: roundedRectangle(72, 41, 5), depth: 18, bored: false }] },
});
const plan = (y: number): Plan => ({ format: 2, choices: [choice(y)] });

describe('the live client', () => {
  let client: LiveClient;
  beforeEach(() => (client = new LiveClient()));
  afterEach(() => client.ngOnDestroy());

  it('answers with the numbers of the core', async () => {
    client.hold('a', state, []);
    const live = await client.ask<'evaluate'>({ kind: 'evaluate', key: 'a', plan: plan(105), choice: 'pickup' });
    const here = evaluatePlan(state, plan(105));
    expect(live.verdicts.map((v) => [v.id, v.clearance, v.class])).toEqual(here.verdicts.map((v) => [v.id, v.clearance, v.class]));
    expect(live.verdicts.every((v) => v.working === null)).toBeTrue();
    const full = await client.ask<'full'>({ kind: 'full', key: 'a', plan: plan(105), choice: 'pickup' });
    expect(full.verdicts).toEqual(structuredClone(here.verdicts) as typeof full.verdicts);
    expect(full.figures!.ownArea).toBeCloseTo(72 * 41 - (4 - Math.PI) * 25, 1);
  });

  it('lets the newest of many questions win and tells the others', async () => {
    client.hold('a', state, []);
    const asked = Array.from({ length: 12 }, (_, i) => client.ask<'evaluate'>({ kind: 'evaluate', key: 'a', plan: plan(100 + i), choice: 'pickup' }));
    const settled = await Promise.allSettled(asked);
    expect(settled[0]?.status).toBe('fulfilled');
    expect(settled[11]?.status).toBe('fulfilled');
    const dropped = settled.filter((s) => s.status === 'rejected');
    expect(dropped.length).toBe(10);
    expect(dropped.every((s) => s.reason instanceof Superseded)).toBeTrue();
  });

  it('drops a question whose state is gone', async () => {
    client.hold('a', state, []);
    const first = client.ask<'evaluate'>({ kind: 'evaluate', key: 'a', plan: plan(105), choice: 'pickup' });
    const old = client.ask<'options'>({
      kind: 'options',
      key: 'a',
      plan: plan(105),
      choice: 'pickup',
      wish: { kind: null, reversibleOnly: false, doNotTouch: [] },
    });
    client.hold('b', state, []);
    await first;
    await expectAsync(old).toBeRejectedWithError(Superseded);
  });

  it('passes on what cannot be worked out as an error', async () => {
    client.hold('a', state, []);
    await expectAsync(
      client.ask<'evaluate'>({ kind: 'evaluate', key: 'a', plan: { format: 2, choices: [{ ...choice(105), part: 'moon' }] }, choice: 'pickup' }),
    ).toBeRejectedWithError(/moon/);
  });
});
