// What a job asks of the bench: strings, battery, arm, what lies over the work, what is soldered in. Common practice, no source.
import { benchNow, bound, cardsOf, HOUSE, operationsOfBench, worksOf } from '../house/index.js';
import { newHardwareChoice, newPickupChoice, type Choice, type CutChoice, type PlanState } from '../check/index.js';
import type { BenchInput } from '../gate/index.js';
import type { Anatomy } from '../instrument/index.js';
import type { Operation } from '../operation/index.js';
import { controlOf, hole, partOf } from '../testing/hardware.js';
import { dim, edge, plainAnatomy, plainState } from '../testing/plan.js';
import { operationOf } from '../testing/work.js';
import { withBench } from './index.js';
import { roundedRectangle } from '../shape/index.js';
import type { Cavity, Plate } from '../instrument/index.js';

const pickup = (id: string): Choice => newPickupChoice(id, 'large');
const plugged = (id: string): Choice => ({
  ...newHardwareChoice(id, { on: 'feature', feature: id }, null),
  work: [{ kind: 'plugHole', does: [{ kind: 'closeHole', hole: id }] }],
});
const deepened = (cavity: string, level: string): CutChoice => ({
  kind: 'cut',
  id: `deeper ${cavity}`,
  cut: 'deepen',
  part: null,
  alternatives: [],
  place: { on: 'feature', feature: cavity },
  count: 1,
  work: [{ kind: 'deepenRoute', does: [{ kind: 'setDepth', cavity, level, depth: dim(20) }] }],
});
const tuner = hole('tuner', 'tuner', 8.5, { face: 'headstock front', frame: 'nut', at: { x: 20, y: -60 } });
const tuned: Choice = { ...newHardwareChoice('tuner', { on: 'feature', feature: 'tuner' }, 'peg'), work: [] };
const bridge: Plate = {
  id: 'bridge',
  name: 'Bridge',
  face: 'top',
  frame: 'body',
  outline: edge(roundedRectangle(80, 30, 3, { x: 0, y: 330 })),
  thickness: dim(8),
  openings: [],
  screws: [],
  kind: 'bridge',
  condition: 'sound',
};

function stateWith(more: Partial<Anatomy> = {}, fitted: PlanState['fitted'] = []): PlanState {
  const a = plainAnatomy();
  const parts = Object.fromEntries(['peg', 'old pot'].map((id) => [id, partOf(id, id === 'peg' ? 'tuner' : 'pot', {})]));
  const base = plainState({ ...a, ...more, cavities: [...a.cavities, ...(more.cavities ?? [])] });
  return { ...base, fitted, parts: { ...base.parts, ...parts } };
}

const input = (state: PlanState, choices: readonly Choice[], more: Partial<BenchInput> = {}): BenchInput => ({
  state,
  job: 'j',
  choices: Object.fromEntries(choices.map((c, i) => [`d${i + 1}`, c])),
  operations: [],
  waivers: [],
  log: [],
  agreed: [],
  cleared: [],
  unlooked: [],
  ...more,
});
const kinds = (state: PlanState, ...choices: readonly Choice[]): readonly string[] => operationsOfBench(input(state, choices)).map((o) => o.kind);

describe('the strings', () => {
  it('are slackened once for a pickup, and come off once where something is routed later', () => {
    expect(kinds(stateWith(), pickup('here'))).toEqual(['meterPart', 'slackenStrings', 'removePart', 'takeOffInsert', 'testFit', 'fitPart', 'stringUp']);
    const both = kinds(stateWith(), pickup('here'), deepened('pocket', 'p'));
    expect(both.filter((k) => /string/i.test(k))).toEqual(['takeStringsOff', 'stringUp']);
    expect(both.indexOf('takeStringsOff')).toBe(both.indexOf('removePart') - 1);
    expect(both.at(-1)).toBe('stringUp');
  });

  it('come off for a tuner, and stay on for a hole that has nothing to do with them', () => {
    const headstock = { ...stateWith({ holes: [tuner] }) };
    expect(kinds(headstock, tuned)).toEqual(['takeStringsOff', 'fitHardware', 'stringUp']);
    const control = stateWith({ holes: [hole('old', 'pot', 8)], cavities: [controlOf(36)] });
    expect(kinds(control, plugged('old'))).toEqual(['plugHole']);
  });

  it('are as they were left: off since a card that was logged, on again once that was, and off anew for what comes later', () => {
    const state = stateWith();
    const first = operationsOfBench(input(state, [pickup('here')]));
    const off = first.find((o) => o.kind === 'slackenStrings')!;
    const at = (n: number): string => `2026-01-01T10:0${n}:00.000Z`;
    const log = [{ operation: off.id, step: '1 slackenStrings', outcome: 'done' as const, measured: null, at: at(1) }];
    const done: Operation[] = [{ ...off, state: 'done' }];
    const then = operationsOfBench(input(state, [pickup('here')], { operations: done, log }));
    expect(then.filter((o) => o.kind === 'slackenStrings').map((o) => [o.id, o.state])).toEqual([[off.id, 'done']]);
    const on = then.find((o) => o.kind === 'stringUp')!;
    const strung = [...done, { ...on, state: 'done' as const }];
    const later = [...log, { operation: on.id, step: '1 tuneUp', outcome: 'done' as const, measured: null, at: at(2) }];
    const again = operationsOfBench(input(state, [pickup('here'), deepened('pocket', 'p')], { operations: strung, log: later }));
    expect(again.filter((o) => o.state !== 'done' && /string/i.test(o.kind)).map((o) => o.kind)).toEqual(['takeStringsOff', 'stringUp']);
    expect(new Set(again.map((o) => o.id)).size).toBe(again.length);
    // and the first card is the change itself
    expect(benchNow(input(state, [deepened('pocket', 'p')])).operation!.kind).toBe('takeStringsOff');
  });
});

describe('what goes back in the end', () => {
  it('is the same operation before and after the last that needed it otherwise is done: who has it on the screen can log it', () => {
    const state = stateWith();
    const choices = [pickup('here'), deepened('pocket', 'p')];
    const first = operationsOfBench(input(state, choices));
    const up = first.find((o) => o.kind === 'stringUp')!;
    let done: readonly Operation[] = [];
    let log: BenchInput['log'] = [];
    for (const [i, o] of first.entries()) {
      if (o.id === up.id) continue;
      done = [...done, { ...o, state: 'done' }];
      log = [...log, { operation: o.id, step: '1 x', outcome: 'done', measured: null, at: `2026-01-01T10:${String(i).padStart(2, '0')}:00.000Z` }];
      const now = operationsOfBench(input(state, choices, { operations: done, log })).find((x) => x.kind === 'stringUp');
      expect(now?.id).withContext(o.kind).toBe(up.id);
    }
  });
});

describe('what was changed for a decision that is no more', () => {
  it('is still so: strings that are off stay off for the next one, and go on again though nothing else is left to do', () => {
    const state = stateWith();
    const off = operationsOfBench(input(state, [deepened('pocket', 'p')])).find((o) => o.kind === 'takeStringsOff')!;
    const gone: Operation = { ...off, decision: 'taken back', state: 'done' };
    const log = [{ operation: off.id, step: '1 takeStringsOff', outcome: 'done' as const, measured: null, at: '2026-01-01T10:00:00.000Z' }];
    const left = operationsOfBench(input(state, [], { operations: [gone], log }));
    expect(left.map((o) => [o.kind, o.state, o.decision])).toEqual([
      ['takeStringsOff', 'done', 'taken back'],
      ['stringUp', 'proposed', 'taken back'],
    ]);
    expect(benchNow(input(state, [], { operations: [gone], log })).cards.map((c) => c.kind)).toEqual(['tuneUp']);
    const next = operationsOfBench(input(state, [pickup('here')], { operations: [gone], log }));
    expect(next.filter((o) => o.source.of === 'job').map((o) => [o.kind, o.state])).toEqual([
      ['takeStringsOff', 'done'],
      ['stringUp', 'proposed'],
    ]);
  });
});

describe('what else lies on the bench', () => {
  it('is a battery, out before iron, drill or router come near, where the instrument has one', () => {
    const active = kinds(stateWith({}, ['active']), pickup('here'));
    expect(active.indexOf('takeBatteryOut')).toBeLessThan(active.indexOf('removePart'));
    expect(active.slice(-2)).toEqual(['putBatteryIn', 'stringUp']);
    expect(kinds(stateWith(), pickup('here'))).not.toContain('takeBatteryOut');
  });

  it('is changed by one card each, that does it', () => {
    const state = stateWith();
    for (const kind of HOUSE.bench.flatMap((b) => Object.values(b.states))) {
      const operation = operationOf(kind, { source: { of: 'job', id: 'j' } });
      const cards = cardsOf(operation, input(state, []));
      expect(cards.map((c) => c.kind))
        .withContext(kind)
        .toEqual([HOUSE.operations[kind]!.takes!]);
    }
  });

  it('is the arm of a tremolo before the body is turned over', () => {
    expect(kinds(stateWith({}, ['tremolo']), deepened('back', 'b'))).toEqual(['takeStringsOff', 'takeArmOff', 'deepenRoute', 'putArmOn', 'stringUp']);
  });

  it('is what is soldered into a cavity that is cut: out before the router, back after it', () => {
    const state = stateWith({ holes: [hole('volume', 'pot', 9.5, { part: 'old pot' })], cavities: [controlOf(36)] });
    expect(kinds(state, deepened('control', 'c'))).toEqual(['takeStringsOff', 'liftElectronics', 'deepenRoute', 'putElectronicsBack', 'stringUp']);
    expect(kinds(state, deepened('pocket', 'p'))).not.toContain('liftElectronics');
  });

  it('is taken to be as what has begun asks for it: nobody takes strings off in the middle of a cut', () => {
    const state = stateWith();
    const cut = operationsOfBench(input(state, [deepened('pocket', 'p')])).find((o) => o.kind === 'deepenRoute')!;
    const begun = operationsOfBench(input(state, [deepened('pocket', 'p')], { operations: [{ ...cut, state: 'doing' }] }));
    expect(begun.map((o) => o.kind)).toEqual(['deepenRoute', 'stringUp']);
  });

  it('is left alone where a need names what is not registered, or no state', () => {
    const asks = (of: string, is: readonly string[]) => operationOf('fitPart', { bench: { needs: [{ of, is }], makes: [] } });
    const changes = (...list: readonly ReturnType<typeof asks>[]) => withBench(HOUSE, list, new Map()).filter((x) => 'by' in x);
    expect(changes(asks('moon', ['off']))).toEqual([]);
    expect(changes(asks('strings', []))).toEqual([]);
    expect(changes(asks('strings', ['off'])).map((c) => ('by' in c ? [c.kind, c.at] : c))).toEqual([
      ['takeStringsOff', null],
      ['stringUp', null],
    ]);
  });

  it('goes back by its own name where it is of one feature', () => {
    const off = operationOf('plugHole', { id: 'p', bench: { needs: [{ of: 'part', at: 'bridge', is: ['off'] }], makes: [] } });
    expect(withBench(HOUSE, [off], new Map()).flatMap((c) => ('by' in c ? [[c.kind, c.of, c.at]] : []))).toEqual([
      ['takePartOff', 'part', 'bridge'],
      ['putPartBack', 'part', 'bridge'],
    ]);
  });

  it('needs nothing where nothing is registered', () => {
    const bare = bound({ ...HOUSE, bench: [] });
    expect(bare.operationsOfBench(input(stateWith({}, ['active', 'tremolo']), [pickup('here')])).some((o) => o.source.of === 'job')).toBeFalse();
  });
});

describe('two old bridge holes', () => {
  const under = (id: string, x: number) => hole(id, 'other', 4, { at: { x, y: 330 }, hiddenBy: 'bridge' });
  const a = plainAnatomy();
  const state = stateWith({ holes: [under('left', -30), under('right', 30)], plates: [...a.plates, bridge] });

  it('are plugged by two works that each need the bridge off, once for both; dowel and glue move, the glue cures, two plugged holes are left', () => {
    const racked: PlanState = {
      ...state,
      stock: [
        { id: 'w', kind: 'dowel', wood: 'maple', diameter: 4, length: 500, quantity: 2, drawer: 'rack' },
        { id: 'g', kind: 'material', name: 'Wood glue', unit: 'ml', quantity: 250, drawer: 'bench', leadDays: null },
      ],
    };
    for (const id of ['left', 'right'])
      expect(worksOf(plugged(id), racked).map((w) => [w.key, w.bench.needs])).toEqual([['plugHole', [{ of: 'part', at: 'bridge', is: ['off'] }]]]);
    const ordered = operationsOfBench(input(racked, [plugged('left'), plugged('right')]));
    expect(ordered.map((o) => o.kind)).toEqual(['takePartOff', 'plugHole', 'plugHole', 'putPartBack']);
    const plug = ordered[1]!;
    // 44 of body and 5 over, of lengths of 500; a millilitre of glue
    expect(plug.moves).toEqual([
      { item: 'w', amount: -49 / 500, why: 'used' },
      { item: 'g', amount: -1, why: 'used' },
    ]);
    expect(plug.waitAfter).toEqual({ until: 'work', minutes: racked.settings.waitForGlue });
    const left = ['left', 'right'].reduce((now, id) => bound(HOUSE).evaluateChoice({ ...racked, anatomy: now }, plugged(id)).anatomy, racked.anatomy);
    expect(left.holes.map((h) => h.condition)).toEqual(['plugged', 'plugged']);
  });
});

describe('a cavity', () => {
  it('that is drawn nowhere asks nothing', () => {
    const far: Cavity = { ...controlOf(20), id: 'far', frame: 'body' };
    expect(kinds(stateWith({ cavities: [far] }), deepened('far', 'c'))).toEqual(['takeStringsOff', 'deepenRoute', 'stringUp']);
  });
});
