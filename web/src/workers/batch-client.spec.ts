// The real worker: progress, then the core's own result; it can be stopped and asked again.
import { bestInRoute, optionsFor } from '@rinnovo/core/house';
import type { PickupChoice } from '@rinnovo/core/check';
import { firstValueFrom, lastValueFrom, take, toArray } from 'rxjs';
import { planAt, planState, planWith } from '../testing/plan';
import { BatchClient } from './batch-client';
import type { BatchQuestion } from './batch-messages';

const request = { kind: 'humbucker' as const, reversibleOnly: false, doNotTouch: [] };
const plan = planAt(105);
const ways: BatchQuestion = { kind: 'options', key: 'a', plan, choice: 'pickup', request };

describe('the batch client', () => {
  let client: BatchClient;
  beforeEach(() => {
    client = new BatchClient();
    client.hold('a', planState);
  });
  afterEach(() => client.ngOnDestroy());

  it('tells after each way out how far it is, and hands over last what the core ranks', async () => {
    const given = await firstValueFrom(client.run(ways).pipe(toArray()));
    const here = optionsFor(planState, plan, plan.choices[0]!, request);
    expect(given.length).toBe(here.length + 1);
    expect(given.slice(0, -1)).toEqual(here.map((_, i) => ({ kind: 'progress', done: i + 1, of: here.length })));
    const last = given.at(-1)!;
    expect(last.kind === 'options' && last.result.map((o) => [o.proposal.id, o.score.total])).toEqual(here.map((o) => [o.proposal.id, o.score.total]));
  });

  it('stops when nobody waits any more, and answers the next question all the same', async () => {
    const begun = await firstValueFrom(client.run(ways).pipe(take(1)));
    expect(begun.kind).toBe('progress');
    const again = await lastValueFrom(client.run(ways));
    expect(again.kind).toBe('options');
  });

  it('two kinds of long question do not wait for one another', async () => {
    const [options, best] = await Promise.all([lastValueFrom(client.run(ways)), lastValueFrom(client.run({ kind: 'best', key: 'a', plan, choice: 'pickup' }))]);
    expect(options.kind).toBe('options');
    expect(best).toEqual({ kind: 'best', result: structuredClone([...bestInRoute(planState, plan, plan.choices[0] as PickupChoice)]) });
  });

  it('answers nothing for a state that has gone, and takes the new one along with the next question', async () => {
    client.hold('b', planState);
    expect(await firstValueFrom(client.run(ways).pipe(toArray()))).toEqual([]);
    expect((await lastValueFrom(client.run({ ...ways, key: 'b' }))).kind).toBe('options');
  });

  it('has nothing to say of a choice that is not there, and fails with what cannot be worked out', async () => {
    expect(await firstValueFrom(client.run({ ...ways, choice: 'moon' }).pipe(toArray()))).toEqual([{ kind: 'options', result: [] }]);
    await expectAsync(lastValueFrom(client.run({ ...ways, plan: planWith({ part: 'moon' }) }))).toBeRejectedWithError(/moon/);
    expect((await lastValueFrom(client.run(ways))).kind).toBe('options');
  });
});
