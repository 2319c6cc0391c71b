// The real worker: answers equal the core's, the newest question wins, an old state is never answered from.
import { evaluatePlan } from '@rinnovo/core/house';
import { planAt as plan, planState as state, planWith } from '../testing/plan';
import { LiveClient, Superseded } from './live-client';

describe('the live client', () => {
  let client: LiveClient;
  beforeEach(() => (client = new LiveClient()));
  afterEach(() => client.ngOnDestroy());

  it('answers with the numbers of the core', async () => {
    client.hold('a', state);
    const live = await client.ask<'evaluate'>({ kind: 'evaluate', key: 'a', plan: plan(105), choice: 'pickup' });
    const here = evaluatePlan(state, plan(105));
    expect(live.verdicts.map((v) => [v.id, v.clearance, v.class])).toEqual(here.verdicts.map((v) => [v.id, v.clearance, v.class]));
    expect(live.verdicts.every((v) => v.working === null)).toBeTrue();
    const full = await client.ask<'full'>({ kind: 'full', key: 'a', plan: plan(105), choice: 'pickup' });
    expect(full.verdicts).toEqual(structuredClone(here.verdicts) as typeof full.verdicts);
    expect(full.figures!.ownArea).toBeCloseTo(72 * 41 - (4 - Math.PI) * 25, 1);
  });

  it('lets the newest of many questions win and tells the others', async () => {
    client.hold('a', state);
    const asked = Array.from({ length: 12 }, (_, i) => client.ask<'evaluate'>({ kind: 'evaluate', key: 'a', plan: plan(100 + i), choice: 'pickup' }));
    const settled = await Promise.allSettled(asked);
    expect(settled[0]?.status).toBe('fulfilled');
    expect(settled[11]?.status).toBe('fulfilled');
    const dropped = settled.filter((s) => s.status === 'rejected');
    expect(dropped.length).toBe(10);
    expect(dropped.every((s) => s.reason instanceof Superseded)).toBeTrue();
  });

  it('drops a question whose state is gone', async () => {
    client.hold('a', state);
    const first = client.ask<'evaluate'>({ kind: 'evaluate', key: 'a', plan: plan(105), choice: 'pickup' });
    const old = client.ask<'full'>({ kind: 'full', key: 'a', plan: plan(105), choice: 'pickup' });
    client.hold('b', state);
    await first;
    await expectAsync(old).toBeRejectedWithError(Superseded);
  });

  it('passes on what cannot be worked out as an error', async () => {
    client.hold('a', state);
    await expectAsync(client.ask<'evaluate'>({ kind: 'evaluate', key: 'a', plan: planWith({ part: 'moon' }), choice: 'pickup' })).toBeRejectedWithError(/moon/);
  });
});
