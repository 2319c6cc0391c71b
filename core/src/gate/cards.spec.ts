// What each kind of work comes to on the bench, written down step by step: order of steps, what is named, what is set, what is read.
import { newHardwareChoice, type PlannedLevel, type PlanState } from '../check/index.js';
import { cuttingFor, HOUSE } from '../house/index.js';
import type { Hole } from '../instrument/index.js';
import { valueOf } from '../measure/index.js';
import type { Act, OperationKind } from '../operation/index.js';
import { isPickup, type Pickup } from '../part/index.js';
import { roundedRectangle } from '../shape/index.js';
import { cards, planned, stateWith, type Given } from '../testing/cards.js';
import { hole, partOf } from '../testing/hardware.js';
import { dim, edge, plainAnatomy, plainChoice, plainState } from '../testing/plan.js';
import { noBench, operationOf } from '../testing/work.js';
import type { StepCard } from './index.js';

const steps = (kind: OperationKind, given?: Given): readonly string[] => cards(kind, given).map((c) => c.kind);
/** A card as: its kind, what is set (label and mm), what is read. */
const told = (c: StepCard): readonly unknown[] => [
  c.kind,
  Object.fromEntries(c.numbers.map((n) => [n.label, Math.round(valueOf(n.working) * 1e6) / 1e6])),
  c.asks?.what === 'depth' ? c.asks.expected : null,
];

describe('the steps of each kind of work', () => {
  it('that takes nothing but the hands', () => {
    const plain: Readonly<Record<string, readonly string[]>> = {
      tracePlate: ['mountPlate', 'traceOutline', 'takePlateOff'],
      takeOffInsert: ['takePlateOff'],
      putInsertBack: ['putInsert'],
      removePart: ['unsolder', 'takeOut'],
      meterPart: ['meter'],
      fitPart: ['fit', 'solder'],
      fillRoute: ['layOutClamps', 'fillIn', 'waitForGlue', 'levelPlug'],
      fitSpacer: ['setSpacer'],
      takeSpacerOut: ['takeSpacer'],
      takeSleeveOut: ['pullSleeve'],
      refitPlate: ['putPlateBack'],
      makePlate: ['cutPlate'],
      openSlot: ['openSlotTo', 'tryPart'],
      openWindow: ['coverMagnets', 'fileWindow', 'tryPart'],
      widenCavity: ['unplug', 'widenTo', 'tryPart'],
      takeStringsOff: ['takeStringsOff'],
      slackenStrings: ['slackenStrings'],
      stringUp: ['tuneUp'],
      takeBatteryOut: ['batteryOut'],
      putBatteryIn: ['batteryIn'],
      liftElectronics: ['liftOut'],
      putElectronicsBack: ['layBack'],
      takeArmOff: ['armOff'],
      putArmOn: ['armOn'],
      takePartOff: ['coveringOff'],
      putPartBack: ['coveringOn'],
    };
    for (const [kind, list] of Object.entries(plain)) expect(steps(kind)).withContext(kind).toEqual(list);
    // whatever is registered has its case here or below
    const below = [
      ...['boreBulk', 'boreWells', 'routePasses', 'fixTemplate', 'testFit', 'cutCavity', 'cutChannel', 'deepenBore', 'deepenRoute'],
      ...[
        'byHand',
        'drillHole',
        'drillRow',
        'fitHardware',
        'fitSleeve',
        'glueIn',
        'changeCover',
        'reamFilm',
        'openHole',
        'plugHole',
        'removeHardware',
        'trimPart',
      ],
    ];
    expect(Object.keys(HOUSE.cards).sort()).toEqual([...Object.keys(plain), ...below].sort());
  });

  it('that routes: the template laid where the plan has it; bulk, passes and wells, each depth read', () => {
    const levels: readonly PlannedLevel[] = [
      { id: 'main', outline: roundedRectangle(86, 40, 5), depth: 18, bored: false },
      { id: 'well', outline: roundedRectangle(6, 6, 3, { x: 30, y: 0 }), depth: 21, bored: true },
    ];
    const choice = plainChoice({ route: { at: { x: 1, y: 110, turn: 0 }, levels } });
    expect(cards('fixTemplate', { choice }).map(told)).toEqual([['layTemplate', { templateX: 1, templateY: 110, templateThickness: 12 }, null]]);
    expect(cards('fixTemplate').map(told)).toEqual([['layTemplate', {}, null]]);
    // where hardly anything is open yet there is bulk to bore
    const shut = plainAnatomy();
    const cavities = shut.cavities.map((c) =>
      c.id === 'route' ? { ...c, levels: c.levels.map((p) => ({ ...p, outline: edge(roundedRectangle(10, 10, 3, { x: 0, y: 110 })) })) } : c,
    );
    const bulk = cards('boreBulk', { choice, state: { ...stateWith(), anatomy: { ...shut, cavities } } });
    expect(bulk.map((c) => c.kind)[0]).toBe('bore');
    // a spur of 2.5 ends on the floor: the rim goes to 15.5
    expect(valueOf(bulk[0]!.numbers[0]!.working)).toBeCloseTo(18 - 2.5, 9);
    // what the boring leaves is cleared by a router bit, after the boring
    const clearing = cuttingFor({ ...stateWith(), anatomy: { ...shut, cavities } }, choice)!.clearing;
    expect(bulk.map((c) => c.kind)).toEqual(clearing ? ['bore', 'unplug', 'changeBit', 'clearBulk'] : ['bore']);
    expect(steps('boreBulk')).toEqual([]);
    expect(cards('boreWells', { choice }).map((c) => [c.kind, c.names['holes'], c.names['bit'], c.asks?.expected])).toEqual([
      ['bore', 1, '6 mm boring bit', 21],
    ]);
    expect(steps('boreWells')).toEqual([]);
    const passes = cards('routePasses', { choice });
    expect(passes.slice(0, 5).map((c) => c.kind)).toEqual(['unplug', 'changeBit', 'setDepth', 'cut', 'measureDepth']);
    expect(passes[1]!.names['bit']).toBe(passes.find((c) => c.kind === 'cut')!.names['bit']!);
    expect(passes.filter((c) => c.kind === 'cut').map((c) => c.names['depth'])).toEqual([6, 12, 18]);
    expect(passes.filter((c) => c.kind === 'cut').map((c) => [c.names['pass'], c.names['of']])).toEqual([
      [1, 3],
      [2, 3],
      [3, 3],
    ]);
    expect(passes.filter((c) => c.kind === 'measureDepth').map((c) => [c.names['level'], c.asks?.expected])).toEqual([
      ['main', 6],
      ['main', 12],
      ['main', 18],
    ]);
    const seen = passes.filter((c) => c.kind === 'setDepth').map((c) => c.numbers.map((n) => n.label));
    expect(seen).toEqual(Array.from({ length: 3 }, () => ['projection', 'overStraightEdge', 'finishedDepth']));
    expect(passes.filter((c) => c.kind === 'cut').map((c) => c.numbers.map((n) => n.label))).toEqual([['projection'], ['projection'], ['projection']]);
  });

  it('that routes two floors: on the way down one of them is read, at its own depth each', () => {
    const levels: readonly PlannedLevel[] = [
      { id: 'main', outline: roundedRectangle(86, 40, 5), depth: 18, bored: false },
      { id: 'ledge', outline: roundedRectangle(100, 20, 5), depth: 12, bored: false },
    ];
    const read = cards('routePasses', { choice: plainChoice({ route: { at: { x: 0, y: 110, turn: 0 }, levels } }) }).filter((c) => c.kind === 'measureDepth');
    expect(read.map((c) => [c.names['level'], c.asks?.what === 'depth' ? c.asks.expected : null])).toEqual([
      ['main', 6],
      ['ledge', 12],
      ['main', 18],
    ]);
  });

  it('tells of a pass what is still to take, once less than its depth was read', () => {
    const levels: readonly PlannedLevel[] = [{ id: 'main', outline: roundedRectangle(86, 40, 5), depth: 12, bored: false }];
    const choice = plainChoice({ route: { at: { x: 0, y: 110, turn: 0 }, levels } });
    const rest = (measured: number | null): readonly (number | null)[] =>
      cards('routePasses', { choice, log: measured === null ? [] : [{ operation: 'routePasses', step: 'x', outcome: 'done', measured, at: '' }] })
        .filter((c) => c.kind === 'setDepth')
        .map((c) => {
          const n = c.numbers.find((x) => x.label === 'remainingDepth');
          return n ? Math.round(valueOf(n.working) * 1e6) / 1e6 : null;
        });
    expect([rest(null), rest(5.8), rest(6), rest(12)]).toEqual([
      [null, null],
      [0.2, 6.2],
      [null, 6],
      [null, null],
    ]);
  });

  it('that routes with no bit for it: the depth of every floor all the same', () => {
    const levels: readonly PlannedLevel[] = [{ id: 'main', outline: roundedRectangle(86, 40, 5), depth: 12, bored: false }];
    const choice = plainChoice({ route: { at: { x: 0, y: 110, turn: 0 }, levels } });
    const does: readonly Act[] = [
      { kind: 'addLevels', cavity: 'route', levels: [{ ...plainAnatomy().cavities[1]!.levels[0]!, id: 'main', depth: planned(12) }] },
    ];
    expect(cards('routePasses', { choice, does, state: stateWith([], { tools: [] }) }).map(told)).toEqual([
      ['unplug', {}, null],
      ['deepenTo', { targetDepth: 12 }, 12],
    ]);
  });

  it('that cuts floors by a fence or by hand: marked or laid first, each floor read; named where there are several', () => {
    const level = plainAnatomy().cavities[1]!.levels[0]!;
    const add = (...ids: readonly string[]): Act => ({
      kind: 'addLevels',
      cavity: 'route',
      levels: ids.map((id, i) => ({ ...level, id, depth: planned(10 + i) })),
    });
    expect(cards('cutChannel', { does: [add('run')] }).map(told)).toEqual([
      ['markOut', {}, null],
      ['unplug', {}, null],
      ['deepenTo', { targetDepth: 10 }, 10],
    ]);
    const two = cards('cutChannel', { does: [add('run', 'end')] }).filter((c) => c.kind === 'deepenTo');
    expect(two.map((c) => [c.names['level'], c.asks?.expected])).toEqual([
      ['run', 10],
      ['end', 11],
    ]);
    expect(cards('cutChannel', { does: [add('run')] }).at(-1)!.names).toEqual({});
    const cavity = { ...plainAnatomy().cavities[2]!, id: 'new', levels: [{ ...level, depth: planned(21) }] };
    expect(cards('cutCavity', { does: [{ kind: 'addCavity', cavity }] }).map(told)).toEqual([
      ['layOutline', {}, null],
      ['unplug', {}, null],
      ['deepenTo', { targetDepth: 21 }, 21],
      ['tryPart', {}, null],
    ]);
    expect(cards('deepenRoute', { does: [{ kind: 'setDepth', cavity: 'route', level: 'old', depth: planned(20) }] }).map(told)).toEqual([
      ['unplug', {}, null],
      ['deepenTo', { targetDepth: 20 }, 20],
    ]);
  });

  it('that drills a new hole: a board behind what comes out; of a blind one its depth and where the stop goes', () => {
    const at = (h: Hole, ...more: readonly Act[]): Given => ({ does: [{ kind: 'addHole', hole: h }, ...more] });
    const size: Act = { kind: 'sizeHole', hole: 'n', by: 'drill', diameter: planned(8) };
    expect(cards('drillHole', at(hole('n', 'pot', null), size)).map(told)).toEqual([
      ['backBoard', {}, null],
      ['drillNew', { drillDiameter: 8 }, null],
      ['tryPart', {}, null],
    ]);
    expect(cards('drillHole', at(hole('n', 'pot', null), size))[1]!.names).toEqual({ bit: '8.0 mm', through: 'yes' });
    // a point of 118°: 8 / 2 / tan 59° = 2.403 below the full width
    const blind = cards('drillHole', at(hole('n', 'screw', 8, { through: false, depth: dim(20) })));
    expect(blind.map((c) => c.kind)).toEqual(['drillNew', 'tryPart']);
    const [, target, stop] = blind[0]!.numbers.map((n) => valueOf(n.working));
    expect(target).toBe(20);
    expect(stop).toBeCloseTo(20 + 4 / Math.tan((59 * Math.PI) / 180), 6);
    expect(blind[0]!.names).toEqual({ bit: '8.0 mm', through: 'no' });
    // deeper, as the plan says; of no known width only how deep
    const deeper = cards('drillHole', at(hole('n', 'screw', null, { through: false, depth: dim(20) }), { kind: 'deepenHole', hole: 'n', depth: planned(24) }));
    expect(deeper.map(told)[0]).toEqual(['drillNew', { targetDepth: 24 }, null]);
    expect(cards('drillHole', at(hole('n', 'screw', null, { through: false }))).map(told)[0]).toEqual(['drillNew', {}, null]);
    // one that is there and is only moved; one that nobody knows
    const there = stateWith([hole('old', 'pot', 7)]);
    const move = (id: string): Act => ({ kind: 'moveHole', hole: id, at: { x: 1, y: 1 }, limit: 0.1, basis: { kind: 'planned' } });
    expect(cards('drillHole', { state: there, does: [move('old')] }).map(told)[1]).toEqual(['drillNew', { drillDiameter: 7 }, null]);
    expect(steps('drillHole', { state: there, does: [move('gone')] })).toEqual(['tryPart']);
  });

  it('that drills holes in a row: marked by their pitch, drill after drill, a board only behind what comes out', () => {
    const rowOf = (through: boolean): Given => ({
      does: [0, 1, 2].map((i): Act => ({
        kind: 'addHole',
        hole: hole(`r${i}`, 'string', 8, { at: { x: 10 + 10.5 * i, y: 300 }, through, depth: through ? null : dim(12) }),
      })),
    });
    const through = cards('drillRow', rowOf(true));
    expect(through.map((c) => c.kind)).toEqual(['markOut', 'backBoard', ...through.slice(2).map(() => 'drillRowTo')]);
    expect(through.at(-1)!.numbers.map((n) => valueOf(n.working))).toEqual([8]);
    expect(through[0]!.names).toEqual({ holes: 3, pitch: 10.5, x: 10, y: 300, through: 'yes', depth: 0 });
    const blind = cards('drillRow', rowOf(false));
    expect(blind.map((c) => c.kind)).not.toContain('backBoard');
    expect(blind[0]!.names).toEqual({ holes: 3, pitch: 10.5, x: 10, y: 300, through: 'no', depth: 12 });
    // without a drill its size stands on the card; of one hole there is no pitch
    const bare = cards('drillRow', { ...rowOf(true), state: stateWith([], { tools: [] }) });
    expect(bare.map(told).at(-1)).toEqual(['drillRowTo', { drillDiameter: 8 }, null]);
    expect(cards('drillRow', { does: [{ kind: 'addHole', hole: hole('one', 'string', 8) }] })[0]!.names).toEqual({});
  });

  it('that opens a hole: finish first, board behind what comes out, by half millimetres', () => {
    const sized = (id: string): readonly Act[] => [{ kind: 'sizeHole', hole: id, by: 'drill', diameter: planned(9.5) }];
    const through = stateWith([hole('h', 'pot', 8)]);
    expect(cards('openHole', { does: sized('h'), state: through }).map(told)).toEqual([
      ['scratchFinish', {}, null],
      ['backBoard', {}, null],
      ['openTo', { drillDiameter: 8.5 }, null],
      ['openTo', { drillDiameter: 9 }, null],
      ['openTo', { drillDiameter: 9.5 }, null],
      ['tryPart', {}, null],
    ]);
    const blind = stateWith([hole('h', 'pot', 9, { through: false })]);
    expect(steps('openHole', { does: sized('h'), state: blind })).toEqual(['scratchFinish', 'openTo', 'tryPart']);
    const none = { ...through, tools: [] };
    expect(cards('openHole', { does: sized('h'), state: none }).map(told)[2]).toEqual(['openTo', { drillDiameter: 9.5 }, null]);
  });

  it('that reams film out of a hole, holds a ferrule with glue, changes a cover', () => {
    const reamed: readonly Act[] = [{ kind: 'sizeHole', hole: 'h', by: 'reamer', diameter: planned(10.25) }];
    expect(cards('reamFilm', { does: reamed, state: stateWith([hole('h', 'tuner', 9.95)]) }).map(told)).toEqual([
      ['reamTo', { drillDiameter: 10.25 }, null],
      ['tryPart', {}, null],
    ]);
    expect(cards('glueIn').map((c) => [c.kind, c.cautions])).toEqual([['wickGlue', ['thinGlue']]]);
    expect(cards('changeCover').map((c) => [c.kind, c.cautions])).toEqual([['coverChanged', ['soldering']]]);
  });

  it('that plugs a hole: bored clean for the dowel that is taken, glued, cured, levelled', () => {
    const closed: readonly Act[] = [{ kind: 'closeHole', hole: 'h' }];
    const dowel = { id: 'd', kind: 'dowel' as const, wood: 'maple', diameter: 9, length: 300, quantity: 1, drawer: '1' };
    const s = stateWith([hole('h', 'pot', 8)], { stock: [dowel] });
    const list = cards('plugHole', { does: closed, state: s });
    expect(list.map(told)).toEqual([
      ['boreForPlug', { drillDiameter: 9 }, null],
      ['layOutClamps', {}, null],
      ['gluePlug', { dowelDiameter: 9 }, null],
      ['waitForGlue', {}, null],
      ['levelPlug', {}, null],
    ]);
    expect([list[0]!.names['bit'], list[2]!.names['dowel']]).toEqual(['9.0 mm', 'maple dowel']);
    const without = cards('plugHole', { does: closed, state: { ...s, stock: [] } });
    expect([told(without[0]!), without[2]!.names['dowel']]).toEqual([['boreForPlug', { drillDiameter: 8 }, null], '']);
    expect(steps('plugHole', { does: closed, state: stateWith([hole('h', 'pot', null)]) })).toEqual(['layOutClamps', 'gluePlug', 'waitForGlue', 'levelPlug']);
  });

  it('that somebody put in on a line: the line, and the rest after it where there is one', () => {
    const own = (wait: number) => ({ line: 'Oil the board', minutes: 5, wait, phase: 'set up' as const, after: [], before: [] });
    const of = (wait: number | null): readonly StepCard[] =>
      noBench.cardsOf(operationOf('byHand', wait === null ? {} : { own: own(wait) }), {
        ...{ state: stateWith(), job: 'j', choices: {}, operations: [], waivers: [], log: [], agreed: [], cleared: [], unlooked: [] },
      });
    expect(of(720).map((c) => [c.kind, c.names])).toEqual([
      ['doOwn', { line: 'Oil the board' }],
      ['letRest', { minutes: 720 }],
    ]);
    expect([of(0).map((c) => c.kind), of(null)]).toEqual([['doOwn'], []]);
  });

  it('that deepens a bore: to its depth, then the part is tried', () => {
    expect(cards('deepenBore', { does: [{ kind: 'deepenHole', hole: 'h', depth: planned(33) }] }).map(told)).toEqual([
      ['boreDeeper', { targetDepth: 33 }, null],
      ['tryPart', {}, null],
    ]);
  });

  it('that fits a part: soldered where it has wires, its knob last; a sleeve is pressed', () => {
    const fitted = (kind: Parameters<typeof partOf>[1], sizes: Parameters<typeof partOf>[2]): readonly string[] => {
      const part = partOf('p', kind, sizes);
      const s = stateWith([hole('h', kind === 'pot' ? 'pot' : 'other', 8)]);
      return steps('fitHardware', { choice: newHardwareChoice('h', { on: 'feature', feature: 'h' }, 'p'), state: { ...s, parts: { ...s.parts, p: part } } });
    };
    expect(fitted('pot', { bushing: 8, shaft: 6 })).toEqual(['fitHardware', 'solder', 'turnToStop', 'putKnobOn']);
    expect(fitted('pot', { bushing: 8 })).toEqual(['fitHardware', 'solder']);
    expect(fitted('ferrule', { outer: 8 })).toEqual(['fitHardware']);
    expect(steps('fitHardware')).toEqual(['fitHardware']);
    expect(steps('fitSleeve')).toEqual(['pressSleeve']);
    // what holds in wood is started by hand, so that it finds its old thread
    expect(fitted('wood screw', { diameter: 4, length: 20 })).toEqual(['startThread', 'fitHardware']);
  });

  it('that takes a part out: what has wires is unsoldered first, the part that is there', () => {
    const pot = partOf('p', 'pot', { bushing: 8 });
    const out: readonly Act[] = [{ kind: 'fitHardware', feature: 'h', part: null }];
    const s = (part: string | null): PlanState => {
      const with_ = stateWith([hole('h', 'pot', 8, { part })]);
      return { ...with_, parts: { ...with_.parts, p: pot, f: partOf('f', 'ferrule', { outer: 8 }) } };
    };
    expect([steps('removeHardware', { does: out, state: s('p') }), steps('removeHardware', { does: out, state: s('f') })]).toEqual([
      ['unsolder', 'takeHardwareOut'],
      ['takeHardwareOut'],
    ]);
    expect(steps('removeHardware', { does: out, state: s(null) })).toEqual(['takeHardwareOut']);
  });

  it('that cuts a part down: by how much, and magnets covered of what has some', () => {
    const trimmed = { ears: 0.7, screws: 2 };
    const choice = plainChoice({ work: [{ kind: 'trimPart', does: [{ kind: 'trimPickup', position: 'here', trimmed }] }] });
    const [card] = cards('trimPart', { choice });
    expect([card!.names['ears'], card!.names['screws'], card!.cautions.includes('magnets')]).toEqual([0.7, 2, true]);
    const screw = { ...newHardwareChoice('s', { on: 'feature', feature: 'plate', screw: 0 }, 'p'), trim: 3.5 };
    const [cut] = cards('trimPart', { choice: screw });
    expect([cut!.names['by'], 'by' in card!.names, cut!.cautions.includes('magnets')]).toEqual([3.5, false, false]);
  });

  it('that meters a new pickup: each coil by itself, against its sheet in air of 15 to 25 °C', () => {
    const coil = (name: string, ohms: number | null) => ({ name, ohms, henry: null, picofarad: null, wireGauge: null, winding: null, magnet: null });
    const state = plainState();
    const small = state.parts['small'];
    if (!small || !isPickup(small)) throw new RangeError('no pickup');
    const asks = (coils: Pickup['coils']) =>
      cards('meterPart', { choice: plainChoice({ part: 'small' }), state: { ...state, parts: { small: { ...small, coils: coils ?? [] } } } }).map(
        (c) => c.asks,
      );
    // 4000 within 10 %, 0.393 % a kelvin over 5 kelvin: 4400 × 1.01965 is 486 more
    const [one, two] = asks([coil('screw', 4000), coil('slug', 4100)]);
    expect(one).toEqual(jasmine.objectContaining({ what: 'resistance', role: 'proves', expected: 4000 }));
    expect(one?.target).toEqual({ quantity: 'partResistance', feature: 'f', part: 'screw' });
    expect(one?.limit).toBeCloseTo(4400 * 1.01965 - 4000, 1);
    expect(two?.expected).toBe(4100);
    expect(asks([coil('only', 7000)]).length).toBe(1);
    expect(cards('meterPart', { choice: null }).map((c) => c.asks)).toEqual([null]);
  });

  it('that tries the part: the least gap that it should have, at worst by how much; none below touching', () => {
    const asks = (part: string): unknown => cards('testFit', { choice: plainChoice({ part }) })[0]!.asks;
    // 22 high in a route of 30: 4 a side; 58 wide in 80: 11
    expect(asks('small')).toEqual({ what: 'gap', role: 'proves', target: { quantity: 'fitGap', feature: 'f' }, expected: 4, limit: jasmine.any(Number) });
    expect((asks('small') as { limit: number }).limit).toBeGreaterThan(0);
    expect(asks('large')).toEqual(jasmine.objectContaining({ expected: 0 }));
    expect(cards('testFit')[0]!.asks).toEqual(jasmine.objectContaining({ what: 'gap', expected: null, limit: 0 }));
  });
});

describe('what is asked of the place by the rules of a step', () => {
  it('a plate with screws is marked through before it comes off; one with none is not', () => {
    const a = plainAnatomy();
    const s = (screws: number): PlanState => {
      const base = stateWith();
      return {
        ...base,
        anatomy: { ...a, plates: a.plates.map((p) => ({ ...p, screws: Array.from({ length: screws }, (_, i) => ({ x: i, y: 80, gauge: 4 })) })) },
      };
    };
    const off = (screws: number, features: readonly string[]): readonly string[] =>
      steps('removeHardware', { does: [{ kind: 'fitHardware', feature: 'plate', part: null }], state: s(screws), features });
    expect([off(1, ['plate']), off(0, ['plate']), off(1, ['elsewhere'])]).toEqual([
      ['markThrough', 'takeHardwareOut'],
      ['takeHardwareOut'],
      ['takeHardwareOut'],
    ]);
  });
});
