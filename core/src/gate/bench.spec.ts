// What the bench remembers: how things were changed on it, which steps are over, whether the part is there, what comes before a cut.
import { beforeCut, benchNow, HOUSE, operationsOfBench } from '../house/index.js';
import { newPickupChoice, type Choice, type CutChoice, type PlanState } from '../check/index.js';
import type { Operation, PlacedOperation } from '../operation/index.js';
import type { StockItem } from '../part/index.js';
import { dim, inDrawer, plainChoice, plainState } from '../testing/plan.js';
import { noBench, operationOf } from '../testing/work.js';
import { setting } from '../measure/index.js';
import { completedSteps, depthOfStep, depthReached, type BenchInput, type LoggedStep, type StepCard } from './index.js';

const at = (n: number): string => `2026-01-01T10:${String(n).padStart(2, '0')}:00.000Z`;
const step = (operation: string, name: string, more: Partial<LoggedStep> = {}): LoggedStep => ({
  operation,
  step: name,
  outcome: 'done',
  measured: null,
  at: at(0),
  ...more,
});
const input = (choice: Choice, more: Partial<BenchInput> = {}): BenchInput => ({
  state: plainState(),
  job: 'j',
  choices: { d: choice },
  operations: [],
  waivers: [],
  log: [],
  agreed: ['d'],
  cleared: ['d'],
  unlooked: [],
  ...more,
});

describe('what was changed on the bench', () => {
  it('is another operation each time that it is done again, under a key that counts', () => {
    const choice = newPickupChoice('here', 'large');
    const cut: CutChoice = {
      kind: 'cut',
      id: 'deeper',
      cut: 'deepen',
      part: null,
      alternatives: [],
      place: { on: 'feature', feature: 'pocket' },
      count: 1,
      work: [{ kind: 'deepenRoute', does: [{ kind: 'setDepth', cavity: 'pocket', level: 'p', depth: dim(20) }] }],
    };
    const changes = (operations: readonly Operation[], log: readonly LoggedStep[]): readonly PlacedOperation[] =>
      operationsOfBench(input(choice, { choices: { d: choice, e: cut }, operations, log })).filter((o) => o.source.of === 'job');
    const keys: string[] = [];
    let operations: readonly Operation[] = [];
    let log: readonly LoggedStep[] = [];
    // off, on, off, on: three times over
    for (let n = 1; n <= 6; n++) {
      const wanted = n % 2 === 1 ? 'takeStringsOff' : 'stringUp';
      const next = changes(operations, log).find((o) => o.kind === wanted && o.state !== 'done')!;
      keys.push(next.key);
      operations = [...operations, { ...next, state: 'done' }];
      log = [...log, step(next.id, `1 ${wanted}`, { at: at(n) })];
    }
    expect(new Set(keys).size).toBe(6);
    const off = keys.filter((_, i) => i % 2 === 0);
    expect(off.map((k) => k.replace(off[0]!, ''))).toEqual(['', ' 2', ' 3']);
  });

  it('makes what it says, at its place, and nothing else', () => {
    const made = (kind: string, id: string): unknown => {
      const o = operationOf(kind, { id: 'x', decision: 'd', source: { of: 'job', id: 'j' }, state: 'done', subject: { aspect: 'anatomy', id } });
      const found = operationsOfBench(input(newPickupChoice('here', 'large'), { operations: [o], log: [step('x', '1 x')] })).find((p) => p.id === 'x')!;
      return [found.bench, found.at.features, found.moves];
    };
    expect(made('takeStringsOff', 'strings')).toEqual([{ needs: [], makes: [{ of: 'strings', is: ['off'] }] }, [], []]);
    expect(made('takePartOff', 'bridge')).toEqual([{ needs: [], makes: [{ of: 'part', at: 'bridge', is: ['off'] }] }, ['bridge'], []]);
    expect(made('liftElectronics', 'control')).toEqual([{ needs: [], makes: [{ of: 'electronics', at: 'control', is: ['out'] }] }, ['control'], []]);
    expect(HOUSE.bench.length).toBeGreaterThan(4);
  });
});

describe('a part that is to go in', () => {
  const choice = plainChoice({ part: 'other' });
  const fit = { kind: 'fitPart' as const };
  /** All else is done: is it there? */
  function there(stock: readonly StockItem[], more: { choice?: Choice; log?: readonly LoggedStep[]; done?: PlanState['done'] } = {}): boolean {
    const c = more.choice ?? choice;
    const before = ['meterPart', 'removePart', 'takeOffInsert', 'testFit'].map((kind) => operationOf(kind, { state: 'done' }));
    const operations = [...before, operationOf(fit.kind, { state: 'doing' })];
    const state = { ...plainState(), stock, done: more.done ?? new Set<string>() };
    const bench = noBench.benchNow(input(c, { state, operations, log: more.log ?? [] }));
    return !bench.hindrances.some((h) => h.kind === 'gate' && h.state === 'partInHand');
  }

  it('is there when a drawer has it for this decision or for nobody, or it is in hand since its step', () => {
    expect([there([inDrawer('other')]), there([])]).toEqual([true, false]);
    const kept = (decision: string): readonly StockItem[] => [{ ...inDrawer('other'), reserved: { [decision]: 1 } }];
    expect([there(kept('d')), there(kept('another'))]).toEqual([true, false]);
    expect(there([], { log: [step('fitPart', '1 fit')] })).toBeTrue();
    // another step of the same work takes nothing
    expect(there([], { log: [step('fitPart', '2 solder')] })).toBeFalse();
    expect(there([], { log: [step('testFit', '1 fit')] })).toBeFalse();
  });

  it('is not asked for where it only goes back, or where nothing goes in', () => {
    expect(there([], { choice: { ...choice, returns: true } })).toBeTrue();
    expect(there([], { choice: { ...choice, part: null } })).toBeTrue();
  });
});

const card = (kind: string, more: Partial<StepCard> = {}): StepCard => ({
  key: kind,
  kind,
  cautions: [],
  numbers: [],
  names: {},
  asks: null,
  rule: null,
  ...more,
});

describe('steps that are over', () => {
  it('are those that went well, and those that went wrong with the wood gone all the same', () => {
    const log = [
      step('a', '1 cut'),
      step('a', '2 cut', { outcome: 'wentWrong' }),
      step('a', '3 cut', { outcome: 'wentWrong', measured: 6 }),
      step('b', '4 cut'),
    ];
    expect([...completedSteps('a', log)]).toEqual(['1 cut', '3 cut']);
  });

  it('tell how deep the work has gone: by the last of them that cuts to a depth', () => {
    const cards = [card('changeBit'), card('cut', { names: { depth: 6 } }), card('measureDepth'), card('cut', { names: { depth: 12 } })];
    expect([0, 1, 2, 3].map((now) => depthReached(cards, now))).toEqual([0, 6, 6, 12]);
    expect(depthReached([], 0)).toBe(0);
    expect(depthReached([card('bore')], 0)).toBe(0);
  });

  it('tell what a step is about on the way down', () => {
    const reads = (expected: number): Partial<StepCard> => ({
      asks: { what: 'depth', role: 'replaces', expected, limit: 0.2, target: { quantity: 'levelDepth', feature: 'route', part: 'main' } },
    });
    const pass = (depth: number): readonly StepCard[] => [
      card('setDepth', { names: { depth } }),
      card('cut', { names: { depth } }),
      card('measureDepth', reads(depth)),
    ];
    const cards = [card('unplug'), ...pass(6), ...pass(12), ...pass(18)];
    expect(cards.map((_, now) => depthOfStep(cards, now)!).map((d) => [d.was, d.to])).toEqual([
      [0, 0],
      [0, 6],
      [0, 6],
      [6, 6],
      [6, 12],
      [6, 12],
      [12, 12],
      [12, 18],
      [12, 18],
      [18, 18],
    ]);
    expect(cards.every((_, now) => depthOfStep(cards, now)!.whole === 18)).toBeTrue();
    // a blind hole, then the part in it
    const hole = [card('drillNew', { numbers: [{ label: 'targetDepth', working: setting('targetDepth', 15, 'plan') }] }), card('tryPart')];
    expect([depthOfStep(hole, 0), depthOfStep(hole, 1)]).toEqual([
      { was: 0, to: 15, whole: 15 },
      { was: 15, to: 15, whole: 15 },
    ]);
    expect([depthOfStep([card('solder')], 0), depthOfStep(cards, 10)]).toEqual([null, null]);
  });
});

describe('what comes before a cut', () => {
  const work = ['removePart', 'tracePlate', 'fixTemplate', 'routePasses'].map((kind) => operationOf(kind));
  const before = (list: readonly PlacedOperation[], waivers: BenchInput['waivers'] = []) => beforeCut('d', list, waivers).map((b) => [b.operation, b.ok]);

  it('is what the must rules put there, done or waived by its very pair', () => {
    const open = before(work);
    expect(open).toContain(['fixTemplate', false]);
    expect(before(work.map((o) => (o.kind === 'fixTemplate' ? { ...o, state: 'done' } : o)))).toContain(['fixTemplate', true]);
    const rule = beforeCut('d', work, []).find((b) => b.operation === 'fixTemplate')!.rule;
    const waiver = (operations: readonly string[]): BenchInput['waivers'] => [{ id: 'w', rule, operations, reason: 'r', person: 'p' }];
    expect(before(work, waiver(['fixTemplate', 'routePasses']))).toContain(['fixTemplate', true]);
    expect(before(work, waiver(['routePasses']))).toContain(['fixTemplate', false]);
    expect(before(work, waiver(['tracePlate', 'routePasses']))).toContain(['fixTemplate', false]);
  });

  it('is nothing for another decision, or once the cut is done', () => {
    expect(beforeCut('other', work, [])).toEqual([]);
    expect(before(work.map((o) => (o.kind === 'routePasses' ? { ...o, state: 'done' } : o)))).toEqual([]);
    expect(before(work.map((o) => (o.kind === 'routePasses' ? { ...o, state: 'dropped' } : o)))).toEqual([]);
  });
});

describe('the bench of a job', () => {
  it('has the first that is open, the cards of that one alone, and goes on after what was logged', () => {
    const choice = plainChoice({ part: 'other' });
    const first = benchNow(input(choice));
    expect([first.now, first.cards.length > 0, first.skipped]).toEqual([0, true, []]);
    const log = first.cards.map((c) => step(first.operation!.id, c.key));
    const next = benchNow(input(choice, { log }));
    expect(next.operation!.id).not.toBe(first.operation!.id);
  });
});
