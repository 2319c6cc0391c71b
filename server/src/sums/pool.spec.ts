// Long sums run beside the thread that answers requests, and come to the same as in it.
import { evaluatePlan, optionsFor } from '@rinnovo/core/house';
import { settingsWith } from '@rinnovo/core/operation';
import type { PlanState } from '@rinnovo/core/check';
import { demoWorkshop } from '@rinnovo/demo';
import { inThread, endThreads } from './pool.js';

const job = demoWorkshop.jobs[0]!;
const { plan } = demoWorkshop.plans.find((p) => p.job === job.id)!;
const state: PlanState = {
  anatomy: demoWorkshop.anatomies.find((a) => a.instrument === job.instrument)!.document,
  parts: Object.fromEntries(demoWorkshop.parts.map((p) => [p.id, p])),
  stock: demoWorkshop.stock,
  settings: settingsWith(),
  tools: demoWorkshop.tools,
  done: new Set(['a/b']),
  fitted: [],
};
const [choice] = plan.choices;

describe('a sum in a thread of its own', () => {
  afterAll(() => endThreads());

  it('comes to what it comes to here', async () => {
    const there = await inThread('options', { state, plan, choice: choice!, request: job.request });
    const here = optionsFor(state, plan, choice!, job.request);
    expect(there.map((o) => [o.proposal.id, o.score.total, o.minutes])).toEqual(here.map((o) => [o.proposal.id, o.score.total, o.minutes]));
    const numbers = ({ verdicts }: ReturnType<typeof evaluatePlan>) => verdicts.map((v) => [v.id, v.clearance, v.class]);
    expect(numbers(await inThread('evaluation', { state, plan }))).toEqual(numbers(evaluatePlan(state, plan)));
  });

  it('leaves this one free: it goes round meanwhile', async () => {
    let rounds = 0;
    let over = false;
    const turn = (): void => {
      rounds += 1;
      if (!over) setImmediate(turn);
    };
    setImmediate(turn);
    await inThread('options', { state, plan, choice: choice!, request: job.request });
    over = true;
    expect(rounds).toBeGreaterThan(10);
  });

  it('tells what it throws, and the next one is worked out all the same', async () => {
    await expectAsync(inThread('options', { state, plan, choice: { ...choice!, kind: 'moon' }, request: job.request })).toBeRejectedWithError(RangeError);
    expect((await inThread('choice', { state, choice: choice! })).verdicts.length).toBeGreaterThan(0);
  });

  it('is begun again after the threads were ended', async () => {
    await endThreads();
    expect((await inThread('choice', { state, choice: choice! })).verdicts.length).toBeGreaterThan(0);
  });
});
