import { benchNow, evaluateChoice, operationsNow, plannedWork } from '../house/index.js';
import { newHardwareChoice, routeLevels, type Choice, type HardwareChoice, type PickupChoice, type PlanState } from '../check/index.js';
import { restsOn, type Bench, type BenchInput } from '../gate/index.js';
import { applyChanges, type Anatomy } from '../instrument/index.js';
import { valueOf } from '../measure/index.js';
import { doneOf, type Operation, type OperationKind, type WorkItem } from '../operation/index.js';
import type { Reading } from '../quantity/index.js';
import { circle, containsPoint, roundedRectangle } from '../shape/index.js';
import { controlOf, hole, partOf } from '../testing/hardware.js';
import { dim, inDrawer, plainAnatomy, plainChoice, plainState, plainTools } from '../testing/plan.js';
import { noBench, leftBy, operationOf } from '../testing/work.js';
import { idOf } from './id-of.js';
import { standingReadings } from './index.js';

const level = (id: string, width: number, depth: number, corner = 5) => ({ id, outline: roundedRectangle(width, width / 2, corner), depth, bored: false });
const well = { id: 'well', outline: circle(6, { x: 30, y: 0 }), depth: 24, bored: true };
const away = { x: 0, y: 220, turn: 0 };
const reroute = (more: Partial<PickupChoice> = {}): PickupChoice => plainChoice({ route: { at: away, levels: [level('main', 86, 19), well] }, ...more });
const kinds = (list: readonly { readonly kind: string }[]): readonly string[] => list.map((w) => w.kind);
const drills = { id: 'd', kind: 'drills' as const, name: 'set', system: 'metric' as const, from: 3, to: 10 };

/** A hole for a smaller pot, plugged and drilled again. */
const pot = partOf('pot', 'pot', { bushing: 6.9 });
const size = { kind: 'sizeHole' as const, hole: 'volume', by: 'drill' as const, diameter: { value: 7.2, limit: 0.1, basis: { kind: 'planned' as const } } };
const redrilled: HardwareChoice = {
  ...newHardwareChoice('volume', { on: 'feature', feature: 'volume' }, 'pot'),
  work: [
    { kind: 'plugHole', does: [{ kind: 'closeHole', hole: 'volume' }] },
    { kind: 'drillHole', does: [size] },
  ],
};

/** Nothing lies on this bench, unless `now` is the house's own. */
function bench(state: PlanState, choice: Choice, more: Partial<BenchInput> = {}, now = noBench.benchNow): Bench {
  return now({ state, job: 'j', choices: { d: choice }, operations: [], waivers: [], log: [], agreed: [], cleared: ['d'], unlooked: [], ...more });
}

describe('the operations of a choice', () => {
  it('are those that there is something to do of: no bulk is bored where no bit goes in, no wells where there are none', () => {
    expect(kinds(plannedWork(plainState(), reroute()))).toEqual([
      'meterPart',
      'removePart',
      'takeOffInsert',
      'tracePlate',
      'fixTemplate',
      'boreBulk',
      'routePasses',
      'boreWells',
      'testFit',
      'fitPart',
    ]);
    const blunt = { ...plainState(), tools: plainTools.filter((t) => t.kind !== 'boring') };
    expect(kinds(plannedWork(blunt, reroute()))).not.toContain('boreBulk');
    const flat = reroute({ route: { at: away, levels: [level('main', 86, 19)] } });
    expect(kinds(plannedWork(plainState(), flat))).not.toContain('boreWells');
  });

  it('are none where all stays as it is, and only what is there comes out where nothing goes in', () => {
    expect(plannedWork(plainState(), plainChoice({ part: 'small', insertFitted: true }))).toEqual([]);
    expect(kinds(plannedWork(plainState(), plainChoice({ part: null, insertFitted: true })))).toEqual(['removePart']);
    const bare: Anatomy = { ...plainAnatomy(), positions: plainAnatomy().positions.map((p) => ({ ...p, part: null })) };
    expect(kinds(plannedWork(plainState(bare), plainChoice()))).not.toContain('removePart');
  });

  it('each do their own cut: the bores as deep as their spurs inside the line, the floor in passes in their place, the wells after it', () => {
    const state = plainState();
    const bored = leftBy('boreBulk', reroute(), state, { decision: 'abcdefgh' });
    const route = (a: Anatomy) => a.cavities.find((c) => c.id === 'route')!.levels.filter((p) => p.set === 'planned abcdefgh');
    const line = routeLevels(reroute().route!, state.settings)[0]!.outline.outline;
    const holes = route(bored);
    expect(holes.length).toBeGreaterThan(1);
    // the floor lies at 19: the spur of 2.5 reaches it, the rim stays at 16.5
    expect(holes.every((h) => h.depth!.value === 19 && h.bored && h.outline.outline.vertices.every((v) => containsPoint(line, v)))).toBeTrue();
    // what is planned takes them up: nothing is asked of their depths
    const planned = evaluateChoice(plainState(bored), reroute());
    expect(planned.anatomy.cavities.find((c) => c.id === 'route')!.levels.map((p) => p.id)).toEqual(['old', 'main', 'well']);
    expect(JSON.stringify(planned.verdicts)).not.toContain('bore ');
    const cut = leftBy('routePasses', reroute(), plainState(bored), { decision: 'abcdefgh' });
    expect(route(cut).map((p) => p.id)).toEqual(['main abcdefgh']);
    const done = leftBy('boreWells', reroute(), plainState(cut), { decision: 'abcdefgh' });
    expect(route(done).map((p) => p.id)).toEqual(['main abcdefgh', 'well abcdefgh']);
    expect(evaluateChoice(plainState(done), reroute()).anatomy.cavities.find((c) => c.id === 'route')!.levels.length).toBe(3);
  });

  it('count once when they are done: a plugged hole that was drilled again is not planned again', () => {
    const a: Anatomy = { ...plainAnatomy(), holes: [hole('volume', 'pot', 9.8, { part: 'old' })], cavities: [...plainAnatomy().cavities, controlOf(36)] };
    const start: PlanState = { ...plainState(a), parts: { ...plainState().parts, pot } };
    const planned = evaluateChoice(start, redrilled).anatomy.holes[0]!;
    expect([planned.diameter!.value, planned.condition, planned.part]).toEqual([7.2, 'sound', 'pot']);
    // done one after the other, what the plan still wants is the rest
    let state = start;
    const done: Operation[] = [];
    for (const kind of ['removeHardware', 'plugHole', 'drillHole', 'fitHardware'] as const) {
      state = { ...state, anatomy: leftBy(kind, redrilled, state) };
      done.push(operationOf(kind, { state: 'done', source: { of: 'choice', id: redrilled.id } }));
      state = { ...state, done: doneOf(done) };
      const then = evaluateChoice(state, redrilled).anatomy.holes[0]!;
      expect([then.diameter!.value, then.condition, then.part]).withContext(kind).toEqual([7.2, 'sound', 'pot']);
    }
    expect(state.anatomy.holes[0]!.diameter!.basis).toEqual({ kind: 'work', entry: 'e' });
    // read smaller since: the plan does not make it what it was to be
    const read = applyChanges(state.anatomy, [{ ...size, diameter: dim(7.1) }]);
    expect(evaluateChoice({ ...state, anatomy: read }, redrilled).anatomy.holes[0]!.diameter!.value).toBe(7.1);
  });
});

describe('the bench', () => {
  const finish = (state: PlanState, choice: Choice): readonly string[] => {
    const rows: Operation[] = [];
    const seen: string[] = [];
    let now = state;
    for (let i = 0; i < 40; i++) {
      const b = bench(now, choice, { operations: rows }, benchNow);
      if (!b.operation) return seen;
      expect(b.cards.length).withContext(b.operation.kind).toBeGreaterThan(0);
      expect(b.hindrances).withContext(b.operation.kind).toEqual([]);
      seen.push(b.operation.kind);
      rows.push({ ...b.operation, state: 'done' });
      now = { ...now, anatomy: leftBy(b.operation.kind, choice, now), done: doneOf(rows) };
    }
    throw new Error(`it does not end: ${seen.join()}`);
  };

  it('comes to its end, whatever there is nothing to do of', () => {
    const blunt = { ...plainState(), tools: plainTools.filter((t) => t.kind !== 'boring') };
    expect(finish(blunt, reroute())).toEqual([
      'meterPart',
      'takeStringsOff',
      'removePart',
      'takeOffInsert',
      'tracePlate',
      'fixTemplate',
      'routePasses',
      'boreWells',
      'testFit',
      'fitPart',
      'stringUp',
    ]);
    expect(finish(plainState(), reroute())).toContain('boreBulk');
    // corners that no bit of the shop reaches: whoever cuts all the same has the depths
    expect(finish(plainState(), reroute({ route: { at: away, levels: [level('main', 86, 19, 2)] } }))).toContain('routePasses');
    const pot = partOf('pot', 'pot', { bushing: 9.4 });
    const base = plainState({ ...plainAnatomy(), holes: [hole('volume', 'pot', 8)] });
    const state = { ...base, tools: [drills], parts: { ...base.parts, pot }, stock: [inDrawer('pot')] };
    const fresh: HardwareChoice = newHardwareChoice('more', { on: 'face', face: 'top', at: { x: 90, y: 250 }, hole: 'pot' }, 'pot');
    expect(finish(state, fresh)).toEqual(['drillHole', 'fitHardware']);
  });

  it('goes on where a well was left out after the decision, and where it came back', () => {
    const rows = plannedWork(plainState(), reroute()).map((w) => operationOf(w.kind, { state: w.kind === 'boreWells' ? 'proposed' : 'done' }));
    expect(bench(plainState(), reroute(), { operations: rows }).operation!.kind).toBe('boreWells');
    const flat = reroute({ route: { at: away, levels: [level('main', 86, 19)] } });
    expect(bench(plainState(), flat, { operations: rows }).operation).toBeNull();
  });

  it('goes on from what is logged to its end before its row says so: no step 2 of 1', () => {
    const rows = plannedWork(plainState(), reroute()).map((w) => operationOf(w.kind));
    const at = '2026-01-01T10:00:00.000Z';
    const log = ['1 meter', '2 meter'].map((step) => ({ operation: 'meterPart', step, outcome: 'done' as const, measured: null, at }));
    const b = bench(plainState(), reroute(), { operations: rows, log });
    expect([b.operation!.kind, b.now, b.skipped]).toEqual(['removePart', 0, []]);
  });

  it('skips what was begun and has no step left, and says so', () => {
    const flat = reroute({ route: { at: away, levels: [level('main', 86, 19)] } });
    const rows = plannedWork(plainState(), reroute()).map((w) => operationOf(w.kind, { state: w.kind === 'boreWells' ? 'doing' : 'done' }));
    const b = bench(plainState(), flat, { operations: rows });
    expect([b.operation, b.skipped]).toEqual([null, ['boreWells']]);
  });

  it('has a blind hole with its depth, bit and stop and no board, a through one with a board', () => {
    const basis = { kind: 'planned' as const };
    const at = (through: boolean): WorkItem => ({
      kind: 'drillHole',
      does: [
        {
          kind: 'addHole',
          hole: hole('new', 'screw', 8, { through, depth: through ? null : { value: 12, limit: 0.2, basis } }),
        },
      ],
    });
    const cards = (through: boolean) =>
      bench({ ...plainState(), tools: [drills] }, { ...newHardwareChoice('x', { on: 'feature', feature: 'back' }, null), work: [at(through)] }).cards;
    const drill = cards(false).find((c) => c.kind === 'drillNew')!;
    expect(cards(false).map((c) => c.kind)).toEqual(['drillNew', 'tryPart']);
    // a point of 118° on 8 is 2.40
    expect(drill.numbers.map((n) => [n.label, Number(valueOf(n.working).toFixed(2))])).toEqual([
      ['drillDiameter', 8],
      ['targetDepth', 12],
      ['stopFromTip', 14.4],
    ]);
    expect(drill.names['bit']).toBe('8.0 mm');
    expect(cards(true).map((c) => c.kind)).toEqual(['backBoard', 'drillNew', 'tryPart']);
    const blind: Anatomy = { ...plainAnatomy(), holes: [hole('volume', 'pot', 8, { through: false, depth: dim(20) })] };
    const size = { kind: 'sizeHole' as const, hole: 'volume', by: 'drill' as const, diameter: dim(9) };
    const opened = bench(
      { ...plainState(blind), tools: [drills] },
      { ...newHardwareChoice('volume', { on: 'feature', feature: 'volume' }, null), work: [{ kind: 'openHole', does: [size] }] },
    );
    expect(opened.cards.map((c) => c.kind)).not.toContain('backBoard');
  });

  it('has a plug with the dowel of the rack and the bore that it wants', () => {
    const a: Anatomy = { ...plainAnatomy(), holes: [hole('gone', 'pot', 8)] };
    const rack = (diameter: number) => ({ id: `w${diameter}`, kind: 'dowel' as const, wood: 'maple', diameter, length: 100, quantity: 1, drawer: 'rack' });
    const state = { ...plainState(a), tools: [drills], stock: [rack(10), rack(8.5), rack(6)] };
    const choice: HardwareChoice = {
      ...newHardwareChoice('gone', { on: 'feature', feature: 'gone' }, null),
      work: [{ kind: 'plugHole', does: [{ kind: 'closeHole', hole: 'gone' }] }],
    };
    const cards = bench(state, choice).cards;
    expect(cards.map((c) => [c.kind, c.names['bit'] ?? c.names['dowel'] ?? null, c.numbers[0] ? valueOf(c.numbers[0].working) : null])).toEqual([
      ['boreForPlug', '8.5 mm', 8.5],
      ['layOutClamps', null, null],
      ['gluePlug', 'maple dowel', 8.5],
      ['waitForGlue', null, null],
      ['levelPlug', null, null],
    ]);
  });

  it('has the cautions of a step on that step: the iron on every soldering card, of any part with wires, not on slackening strings', () => {
    const pickup = bench(plainState(), plainChoice({ insertFitted: true }), { operations: [operationOf('meterPart', { state: 'done' })] }).cards;
    const of = (list: typeof pickup, kind: string) => list.find((c) => c.kind === kind)!.cautions;
    expect([of(pickup, 'unsolder'), of(pickup, 'takeOut')]).toEqual([['soldering'], []]);
    const strings = bench(plainState(), reroute(), { operations: [operationOf('meterPart', { state: 'done' })] }, benchNow);
    expect([strings.operation!.kind, strings.cards.map((c) => c.cautions)]).toEqual(['takeStringsOff', [['stringTension']]]);
    for (const [kind, hole0] of [
      ['pot', 'pot'],
      ['toggle switch', 'switch'],
      ['jack', 'jack'],
    ] as const) {
      const part = partOf('part', kind, {});
      const a: Anatomy = { ...plainAnatomy(), holes: [hole('h', hole0, 9.8, { part: 'old' })] };
      const base = plainState(a);
      const state = { ...base, stock: [inDrawer('part')], parts: { ...base.parts, part, old: partOf('old', kind, {}) } };
      const choice = newHardwareChoice('h', { on: 'feature', feature: 'h' }, 'part');
      const out = bench(state, choice).cards;
      expect([kinds(out), of(out, 'unsolder')])
        .withContext(kind)
        .toEqual([['unsolder', 'takeHardwareOut'], ['soldering']]);
      const into = bench({ ...state, anatomy: leftBy('removeHardware', choice, state) }, choice).cards;
      expect([kinds(into), of(into, 'solder')])
        .withContext(kind)
        .toEqual([['fitHardware', 'solder'], ['soldering']]);
    }
    const screw = { ...plainState(), stock: [inDrawer('s')], parts: { ...plainState().parts, s: partOf('s', 'wood screw', {}) } };
    expect(kinds(bench(screw, newHardwareChoice('x', { on: 'feature', feature: 'plate', screw: 0 }, 's')).cards)).not.toContain('solder');
  });
});

describe('operations made anew', () => {
  const wanted = (choice: Choice) => [{ decision: 'd', job: 'j', choice }];
  const row = (kind: OperationKind, more: Partial<Operation>): Operation => operationOf(kind, { id: `id ${kind}`, ...more });

  it('keep id and place under their key; what began stays as it was; what the plan has no use for goes', () => {
    const rows = [row('removePart', { state: 'done' }), row('routePasses', { rank: 3 }), row('boreWells', { rank: 4 }), row('fitSpacer', { rank: 5 })];
    const now = operationsNow(rows, wanted(reroute()), plainState());
    expect(now.find((o) => o.kind === 'removePart')).toEqual(
      jasmine.objectContaining({ ...rows[0]!, at: jasmine.anything() as never, bench: jasmine.anything() as never, minutes: 40 }),
    );
    expect(now.filter((o) => o.rank !== null).map((o) => [o.id, o.kind, o.rank])).toEqual([
      ['id routePasses', 'routePasses', 3],
      ['id boreWells', 'boreWells', 4],
    ]);
    const moved = reroute({ route: { at: { ...away, x: 7 }, levels: [level('main', 86, 19)] } });
    const again = operationsNow(rows, wanted(moved), plainState());
    expect(again.map((o) => o.kind)).not.toContain('boreWells');
    const cuts = again.find((o) => o.kind === 'routePasses')!.does[0]!;
    expect(
      cuts.kind === 'addLevels' && cuts.levels[0]!.outline.outline.vertices.reduce((s, v) => s + v.x, 0) / cuts.levels[0]!.outline.outline.vertices.length,
    ).toBeCloseTo(7, 6);
  });

  it('have the same id for the same decision and key, whoever works it out, and each its own', () => {
    const once = operationsNow([], wanted(reroute()), plainState());
    expect(operationsNow([], wanted(reroute()), plainState()).map((o) => o.id)).toEqual(once.map((o) => o.id));
    expect(new Set(once.map((o) => o.id)).size).toBe(once.length);
    expect(once.every((o) => o.id === idOf('d', o.key))).toBeTrue();
    expect(idOf('d', 'fitPart')).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-5[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    expect(idOf('e', 'fitPart')).not.toBe(idOf('d', 'fitPart'));
  });

  it('of a place that has gone are only those that have begun', () => {
    const gone = newHardwareChoice('volume', { on: 'feature', feature: 'volume' }, 'pot');
    expect(operationsNow([row('openHole', { state: 'doing' }), row('fitHardware', {})], wanted(gone), plainState()).map((o) => o.kind)).toEqual(['openHole']);
  });
});

describe('readings that still stand', () => {
  const read = (id: string, at: string, value: number): Reading => ({
    id,
    instrument: 'i',
    target: { quantity: 'holeDiameter', feature: 'volume' },
    value,
    limit: 0.05,
    raw: String(value),
    tool: 't',
    person: 'p',
    at,
    blind: id === 'b',
    survey: null,
    corrects: null,
  });
  const two = [read('a', '2026-01-01T10:00:00Z', 8), read('b', '2026-01-01T10:05:00Z', 8.02)];
  const opened = (state: Operation['state']): Operation =>
    operationOf('openHole', { state, lapses: [{ quantity: 'holeDiameter', feature: 'volume' }], subject: { aspect: 'anatomy', id: 'volume' } });
  const log = [{ operation: 'openHole', at: '2026-01-02T09:00:00.000Z' }];

  it('are not those of a hole that was opened since: two old ones prove nothing of its new size, a new one stands', () => {
    expect(standingReadings(two, [opened('done')], log)).toEqual([]);
    expect(standingReadings(two, [opened('doing')], log)).toEqual(two);
    const fresh = read('c', '2026-01-02T09:00:01Z', 9.7);
    expect(standingReadings([...two, fresh], [opened('done')], log)).toEqual([fresh]);
    // of another hole, or of another quantity of it, all stand
    const other = two.map((r) => ({ ...r, target: { quantity: 'holeDepth' as const, feature: 'volume' } }));
    expect(standingReadings(other, [opened('done')], log)).toEqual(other);
  });

  it('come from what an operation does: each act names what it makes void', () => {
    const basis = { kind: 'planned' as const };
    const d = { value: 9, limit: 0.1, basis };
    const acts = plainChoice({
      part: null,
      work: [
        {
          kind: 'deepenRoute',
          does: [
            { kind: 'setDepth', cavity: 'route', level: 'old', depth: d },
            { kind: 'sizePlate', plate: 'plate', outline: plainAnatomy().plates[0]!.outline },
          ],
        },
      ],
    });
    expect(plannedWork(plainState(), acts).find((w) => w.kind === 'deepenRoute')!.lapses).toEqual([
      { quantity: 'levelDepth', feature: 'route', part: 'old' },
      { quantity: 'checkWidthAcross', feature: 'plate' },
      { quantity: 'checkWidthAlong', feature: 'plate' },
    ]);
  });

  it('are not asked of a hole that is plugged: it has no size to read', () => {
    const a: Anatomy = { ...plainAnatomy(), holes: [hole('volume', 'pot', 8, { part: null })], cavities: [...plainAnatomy().cavities, controlOf(36)] };
    const state: PlanState = { ...plainState(a), parts: { ...plainState().parts, pot } };
    const asked = (s: PlanState) => restsOn(evaluateChoice(s, redrilled).verdicts, s.anatomy).map((t) => t.quantity);
    expect(asked(state)).toContain('holeDiameter');
    const plugged = { ...state, anatomy: leftBy('plugHole', redrilled, state) };
    expect(asked(plugged)).not.toContain('holeDiameter');
  });
});
