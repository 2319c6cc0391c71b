// Four tuner holes: all marked out, all drilled, all tried; each step is logged by itself.
import { benchNow, HOUSE, operationsOfBench } from '../house/index.js';
import { newHardwareChoice, type Choice, type PlanState } from '../check/index.js';
import type { Anatomy } from '../instrument/index.js';
import { valueOf } from '../measure/index.js';
import { hole, partOf } from '../testing/hardware.js';
import { clearedJob, entryOf, jobOf } from '../testing/job.js';
import { dim, inDrawer, plainAnatomy, plainPlan, plainState } from '../testing/plan.js';
import { seeded } from '../testing/random.js';
import { noBench, operationOf } from '../testing/work.js';
import { togetherIn, type Bench, type LoggedStep } from './index.js';

const tuner = partOf('tuner', 'tuner', { bushing: 9.8, washer: 14 });
const holes = (sizes: readonly number[]): Anatomy => ({
  ...plainAnatomy(),
  holes: sizes.map((_, i) => hole(`tuner ${i + 1}`, 'tuner', 8, { at: { x: 60, y: 150 + 30 * i } })),
});
const choicesOf = (sizes: readonly number[]): readonly Choice[] =>
  sizes.map((to, i) => ({
    ...newHardwareChoice(`t${i + 1}`, { on: 'feature', feature: `tuner ${i + 1}` }, tuner.id),
    work: [{ kind: 'openHole', does: [{ kind: 'sizeHole', hole: `tuner ${i + 1}`, by: 'drill', diameter: dim(to) }] }],
  }));
const stateOf = (sizes: readonly number[]): PlanState => ({ ...plainState(holes(sizes)), parts: { tuner }, stock: [inDrawer('tuner', sizes.length)] });

/** The steps in the order in which the bench asks for them, each logged as done. */
function worked(sizes: readonly number[]): readonly { readonly bench: Bench; readonly key: string; readonly decision: string }[] {
  const state = stateOf(sizes);
  const choices = Object.fromEntries(choicesOf(sizes).map((c) => [c.id, c]));
  const log: LoggedStep[] = [];
  const out: { bench: Bench; key: string; decision: string }[] = [];
  let operations = operationsOfBench({ operations: [], choices, job: 'j', state, log });
  for (let i = 0; i < 300; i++) {
    const bench = benchNow({
      state,
      job: 'j',
      choices,
      operations,
      waivers: [],
      log,
      agreed: Object.keys(choices),
      cleared: Object.keys(choices),
      unlooked: [],
    });
    const { operation, cards, now } = bench;
    if (!operation) return out;
    out.push({ bench, key: `${operation.kind} ${cards[now]!.key}`, decision: operation.decision });
    log.push({ operation: operation.id, step: cards[now]!.key, outcome: 'done', measured: null, at: `2026-01-01T10:00:${String(i).padStart(3, '0')}Z` });
    const done = now === cards.length - 1;
    operations = bench.ordered.map((o) => (o.id === operation.id ? { ...o, state: done ? 'done' : 'doing' } : o));
  }
  throw new Error('no end');
}

describe('like acts at like places', () => {
  it('are done step by step together: every hole through a step before any is at the next', () => {
    const steps = worked([9.8, 9.8, 9.8, 9.8]).filter((s) => s.key.startsWith('openHole'));
    const kinds = [...new Set(steps.map((s) => s.key))];
    expect(kinds.length).toBeGreaterThan(2);
    expect(steps.map((s) => s.key)).toEqual(kinds.flatMap((k) => [k, k, k, k]));
    for (const k of kinds) expect(steps.filter((s) => s.key === k).map((s) => s.decision)).toEqual(['t1', 't2', 't3', 't4']);
    expect(steps[0]!.bench.together.find((t) => t.includes(steps[0]!.bench.operation!.id))?.length).toBe(4);
  });

  it('are those with the same numbers: 20 seeded rows of holes, each step asked for once, none of a set ahead of the others by more than one', () => {
    const r = seeded(41);
    for (let i = 0; i < 20; i++) {
      const sizes = Array.from({ length: 2 + Math.floor(r() * 5) }, () => (r() < 0.6 ? 9.8 : 10.5));
      const steps = worked(sizes);
      const names = steps.map((s) => `${s.decision} ${s.key}`);
      expect(new Set(names).size).withContext(String(sizes)).toBe(names.length);
      for (const { bench } of steps)
        for (const t of bench.together) {
          const of = (id: string): number | undefined => sizes[Number(bench.ordered.find((o) => o.id === id)!.decision.slice(1)) - 1];
          const kind = bench.ordered.find((o) => o.id === t[0])!.kind;
          if (kind === 'openHole')
            expect(new Set(t.map(of)).size)
              .withContext(String(sizes))
              .toBe(1);
        }
      // all of one row through, however it was mixed
      expect(steps.filter((s) => s.key.startsWith('openHole')).length % sizes.length === 0 || new Set(sizes).size > 1).toBeTrue();
    }
  });

  it('are one after the other, of a kind that is done so, and two at least', () => {
    const o = (id: string, kind: string) => ({ ...operationOf(kind), id, minutes: 5, moves: [] });
    const cards = () => [{ key: '1 x', kind: 'x', cautions: [], numbers: [], names: {}, asks: null, rule: null }];
    const sets = (...list: readonly ReturnType<typeof o>[]) => togetherIn(HOUSE, list, cards);
    expect(sets(o('a', 'openHole'), o('b', 'openHole'))).toEqual([['a', 'b']]);
    expect(sets(o('a', 'openHole'), o('p', 'plugHole'), o('b', 'openHole'))).toEqual([]);
    expect(sets(o('a', 'routePasses'), o('b', 'routePasses'))).toEqual([]);
    expect(sets(o('a', 'openHole'))).toEqual([]);
  });

  it('are judged like any other step: the first hole’s second step is not the step at hand while the second hole waits for its first', () => {
    const sizes = [9.8, 9.8];
    const state = stateOf(sizes);
    const plan = plainPlan(...choicesOf(sizes));
    const cleared = plan.choices.reduce(
      (j, c) => {
        const one = clearedJob(j, state, c);
        return { ...one, clearances: [...j.clearances, ...one.clearances] };
      },
      jobOf(state, plan),
    );
    const opens = cleared.operations.filter((o) => o.kind === 'openHole');
    const before = cleared.operations.map((o) => (['openHole', 'fitHardware'].includes(o.kind) ? o : { ...o, state: 'done' as const }));
    const begun = { ...cleared, operations: before.map((o) => (o.id === opens[0]!.id ? { ...o, state: 'doing' as const } : o)) };
    const bench = noBench.benchNow({
      state,
      job: 'j',
      choices: { t1: plan.choices[0]!, t2: plan.choices[1]! },
      operations: before,
      waivers: [],
      log: [],
      agreed: ['t1', 't2'],
      cleared: ['t1', 't2'],
      unlooked: [],
    });
    const { key } = bench.cards[0]!;
    const log = [entryOf(opens[0]!.id, key)];
    const said = (operation: string, step: string) => ({
      operation,
      step,
      outcome: 'done' as const,
      wrong: null,
      measured: null,
      seen: Object.fromEntries(bench.cards.find((c) => c.key === step)!.numbers.map((n) => [n.label, valueOf(n.working)])),
    });
    const judged = (operation: string, step: string) =>
      noBench.judgeStep({ ...begun, ledger: log }, state, said(operation, step), new Date('2026-01-02T00:00:00Z')).kind;
    expect(judged(opens[0]!.id, bench.cards[1]!.key)).toBe('otherStep');
    expect(judged(opens[1]!.id, key)).toBe('logged');
  });
});
