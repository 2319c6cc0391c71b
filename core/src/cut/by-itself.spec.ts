import { asSlipped, evaluateChoice, evaluatePlan, goBack, optionsFor, placesWorkedOn, worksOf } from '../house/index.js';
import { actsOfChoice, ofChoice, type Choice, type CutChoice, type Verdict } from '../check/index.js';
import { clearToCut } from '../gate/index.js';
import { compareAnatomies, type Anatomy } from '../instrument/index.js';
import { valueOf } from '../measure/index.js';
import { actsOf, settingsWith } from '../operation/index.js';
import { undoRecipe, type WorkSoFar } from '../record/index.js';
import { gateOf } from '../testing/gate.js';
import { controlOf } from '../testing/hardware.js';
import { dim, plainAnatomy, plainChoice, plainState, plainTools } from '../testing/plan.js';
import { noBench, doesOf, leftBy } from '../testing/work.js';
import { bounds, roundedRectangle } from '../shape/index.js';
import { channelFor, deepening, holeRow, isMovableCut, moveCut, newCavity, relief, slantedBore, surfacing, type HoleRow, type PlannedCut } from './index.js';

const s = settingsWith();
const drills = { id: 'd', kind: 'drills' as const, name: 'set', system: 'metric' as const, from: 3, to: 10 };
const tools = [...plainTools, drills, { id: 'c', kind: 'countersink' as const, name: 'c', diameter: 16 }];
const request = { kind: null, reversibleOnly: false, doNotTouch: [] };

function choiceOf(made: PlannedCut): CutChoice {
  if ('problem' in made) throw new Error(made.problem);
  return made.choice;
}
const problem = (made: PlannedCut): string | null => ('problem' in made ? made.problem : null);
const verdicts = (a: Anatomy, choice: CutChoice): readonly Verdict[] => evaluateChoice(plainState(a), choice).verdicts;
const row: HoleRow = { kind: 'string', face: 'top', first: { x: -26, y: 260 }, pitch: 10.4, count: 6, way: 'across', diameter: 7.9, depth: null };

const { benchNow } = noBench;

describe('a floor that is cut deeper for its own sake', () => {
  const deeper = (depth: number): PlannedCut => deepening(plainAnatomy(), 'deeper', { cavity: 'pocket', level: 'p' }, depth, s);

  it('leaves a floor: 44 − 17.5 is 26.5; deeper than the body is a clash and no crash', () => {
    const floor = (depth: number): Verdict => verdicts(plainAnatomy(), choiceOf(deeper(depth))).find((v) => v.check === 'floor')!;
    expect(floor(17.5).clearance).toBeCloseTo(26.5, 9);
    expect([floor(17.5).class, floor(40).class, floor(50).class]).toEqual(['well', 'thin', 'clashes']);
  });

  it('is none that is no deeper, and none where nothing is', () => {
    expect([problem(deeper(16)), problem(deeper(15)), problem(deepening(plainAnatomy(), 'x', { cavity: 'pocket', level: 'moon' }, 20, s))]).toEqual([
      'notDeeper',
      'notDeeper',
      'noLevel',
    ]);
  });

  it('of a neck pocket lowers the joint by as much: 16 to 18.0 takes 6 to 4; stopped at 17.2 it is to 18.0 still, and what is read replaces both', () => {
    const base = plainAnatomy();
    const state = plainState({ ...base, neck: { ...base.neck, jointHeight: dim(6) } });
    const choice = choiceOf(deepening(state.anatomy, 'deeper', { cavity: 'pocket', level: 'p' }, 18, s));
    const of = (a: Anatomy) => [a.cavities.find((c) => c.id === 'pocket')!.levels[0]!.depth!.value, Number(a.neck.jointHeight!.value.toFixed(6))];
    expect(of(evaluateChoice(state, choice).anatomy)).toEqual([18, 4]);
    // a depth was read on the way: the act is absolute
    const begun = { state, job: 'j', choices: { d: choice }, operations: [], waivers: [], agreed: [], cleared: ['d'], unlooked: [] };
    const { operation } = benchNow({ ...begun, log: [] });
    const log = [{ operation: operation!.id, step: '2 deepenTo', outcome: 'wentWrong' as const, measured: 17.2, at: '2026-01-01T10:00:00.000Z' }];
    expect(of(evaluateChoice(state, choice).anatomy)).toEqual([18, 4]);
    expect(benchNow({ ...begun, operations: [{ ...operation!, state: 'doing' }], log }).cards.find((c) => c.kind === 'deepenTo')!.asks!.expected).toBe(18);
    const read = (value: number) => [{ level: 'p', value, limit: 0.05, entry: 'r' }];
    expect(of(leftBy('deepenRoute', choice, state, { depths: read(18.1) }))).toEqual([18.1, 3.9]);
    // a pocket that nobody had measured: the joint is to be read again
    const unread = plainState({
      ...state.anatomy,
      cavities: state.anatomy.cavities.map((c) => ({ ...c, levels: c.levels.map((p) => ({ ...p, depth: null })) })),
    });
    expect(leftBy('deepenRoute', choice, unread, { depths: read(18) }).neck.jointHeight).toBeNull();
    // no other cavity touches it
    const back = choiceOf(deepening(state.anatomy, 'b', { cavity: 'back', level: 'b' }, 20, s));
    expect(of(evaluateChoice(state, back).anatomy)).toEqual([16, 6]);
  });

  it('is decided on or left, rests on readings, is read at the machine and left as it was read', () => {
    const choice = choiceOf(deeper(17.5));
    const state = { ...plainState(), tools };
    const options = optionsFor(state, { format: 5, choices: [choice] }, choice, request);
    expect(options.map((o) => [o.proposal.kind, worksOf(o.proposal.choice, state).map((w) => w.kind)])).toEqual([
      ['cutAsPlanned', ['deepenRoute']],
      ['keep', []],
    ]);
    expect(options[0]!.back.woodCut).toBeTrue();
    const twice = (to: number) => {
      const evaluation = ofChoice(evaluatePlan(state, { format: 5, choices: [choiceOf(deeper(to))] }), 'deeper');
      const { items } = clearToCut(gateOf({ evaluation, found: state.anatomy }));
      return items.flatMap((i) => (i.kind === 'reading' ? [`${i.target.quantity} ${i.target.feature} ${i.state}`] : []));
    };
    // 26.5 of wood left bear a thickness that was misread by 4.4; 9 do not
    expect([twice(17.5), twice(35)]).toEqual([[], ['bodyThickness body none']]);
    const bench = benchNow({ state, job: 'j', choices: { d: choice }, operations: [], waivers: [], log: [], agreed: [], cleared: ['d'], unlooked: [] });
    expect(bench.cards.map((c) => [c.kind, c.asks?.expected ?? null])).toEqual([
      ['unplug', null],
      ['deepenTo', 17.5],
    ]);
    const left = leftBy('deepenRoute', choice, state, { depths: [{ level: 'p', value: 17.6, limit: 0.05, entry: 'r' }] });
    expect(left.cavities.find((c) => c.id === 'pocket')!.levels[0]!.depth).toEqual({ value: 17.6, limit: 0.05, basis: { kind: 'work', entry: 'r' } });
  });
});

describe('a channel from cavity to cavity', () => {
  const a: Anatomy = { ...plainAnatomy(), cavities: [...plainAnatomy().cavities, { ...controlOf(30), face: 'top' }] };
  const made = channelFor(a, 'wires', { from: 'route', to: 'control' }, { width: 8, depth: 12 }, s);

  it('has a floor and a wall to what is near, but not to what it runs into', () => {
    const all = verdicts(a, choiceOf(made));
    expect(all.filter((v) => v.check === 'wall' && v.subject.item === 'planned').map((v) => v.subject.against)).toEqual(['back']);
    expect(all.some((v) => v.check === 'floor' && v.clearance !== null && Math.abs(v.clearance - (44 - 12)) < 1e-9)).toBeTrue();
  });

  it('is left in the cavity that it begins in, joined with the other, as deep as it was read; going back it stays', () => {
    const choice = choiceOf(made);
    const left = leftBy('cutChannel', choice, plainState(a), { depths: [{ level: 'channel to control', value: 12.2, limit: 0.05, entry: 'r' }] });
    const route = left.cavities.find((c) => c.id === 'route')!;
    expect([route.joins, route.levels.at(-1)!.depth!.value]).toEqual([['control'], 12.2]);
    expect(compareAnatomies(a, left).map((d) => d.kind)).toEqual(['levelAdded']);
    const done = { kind: 'cutChannel' as const, does: doesOf('cutChannel', choice, plainState(a)), state: 'done' as const, steps: [], depths: [], entry: 'e' };
    const back = goBack({ decision: 'd', chosen: choice, work: [done], was: a, state: plainState(left) });
    expect([back.operations, back.stays.map((x) => x.kind)]).toEqual([[], ['cannotPutWoodBack']]);
  });

  it('is none between one cavity and itself, from face to face, or where they meet already', () => {
    const to = (from: string, other: string): string | null => problem(channelFor(a, 'x', { from, to: other }, { width: 8, depth: 12 }, s));
    expect([to('route', 'route'), to('route', 'back'), to('route', 'moon')]).toEqual(['noEnds', 'noEnds', 'noEnds']);
    const met = { ...a, cavities: a.cavities.map((c) => (c.id === 'control' ? { ...c, levels: plainAnatomy().cavities[1]!.levels } : c)) };
    expect(problem(channelFor(met, 'x', { from: 'route', to: 'control' }, { width: 8, depth: 12 }, s))).toBe('joined');
  });
});

describe('holes in a row', () => {
  const choice = choiceOf(holeRow('strings', row, s));

  it('lie evenly from the first, and tell the smallest wood between them and to the edge', () => {
    const at = actsOf(actsOfChoice(choice), 'addHole').map((w) => w.hole.at.x);
    expect(at.map((x) => Number(x.toFixed(6)))).toEqual([-26, -15.6, -5.2, 5.2, 15.6, 26]);
    const all = verdicts(plainAnatomy(), choice);
    const beside = all.find((v) => v.check === 'holeBeside' && v.subject.item === 'hole' && v.subject.against !== 'body');
    const edge = all.find((v) => v.subject.against === 'body');
    // 10.4 − 7.9
    expect(beside!.clearance).toBeCloseTo(2.5, 6);
    expect(beside!.class).toBe('thin');
    expect([edge!.subject.against, edge!.class]).toEqual(['body', 'well']);
    const off = choiceOf(holeRow('strings', { ...row, first: { x: 140, y: 260 } }, s));
    expect(verdicts(plainAnatomy(), off).find((v) => v.subject.against === 'body')!.class).toBe('clashes');
  });

  it('are judged by what lies behind them: the drill’s point counts, deeper than the body is a clash, and a floor asks for readings', () => {
    const of = (more: Partial<HoleRow>): Verdict[] =>
      verdicts(plainAnatomy(), choiceOf(holeRow('strings', { ...row, ...more }, s))).filter((v) => v.check === 'floor' || v.subject.item === 'exit');
    const blind = (depth: number): Verdict => of({ depth })[0]!;
    // 44 − 30 − 7.9/2/tan 59°, and at 43 its point is through
    expect(blind(30).clearance).toBeCloseTo(44 - 30 - 2.3734, 3);
    expect([blind(30).class, blind(40).class, blind(43).class, blind(60).class]).toEqual(['well', 'thin', 'clashes', 'clashes']);
    // over the cavity of the back, 14 deep: 44 − 20 − 2.37 − 14
    const over = of({ depth: 20, first: { x: -26, y: 130 } })[0]!;
    expect(over.clearance).toBeCloseTo(44 - 20 - 2.3734 - 14, 3);
    expect(over.subject.against).toBe('back');
    const judged = clearToCut(gateOf({ evaluation: { anatomy: plainAnatomy(), verdicts: [over] }, found: plainAnatomy() }));
    expect(judged.items.flatMap((i) => (i.kind === 'reading' ? [`${i.target.feature} ${i.target.quantity}`] : []))).toEqual([
      'body bodyThickness',
      'back levelDepth',
    ]);
  });

  it('through keep clear of the cavities of the other face', () => {
    const out = (y: number): Verdict =>
      verdicts(plainAnatomy(), choiceOf(holeRow('strings', { ...row, first: { x: -26, y } }, s))).find((v) => v.subject.item === 'exit')!;
    // the cavity ends at 160; 180 − 3.95 − 160
    expect(out(180).clearance).toBeCloseTo(16.05, 2);
    expect([out(180).class, out(130).class]).toEqual(['well', 'clashes']);
  });

  it('are drilled by one template, left as drilled, and once', () => {
    const state = { ...plainState(), tools };
    const { cards } = benchNow({ state, job: 'j', choices: { d: choice }, operations: [], waivers: [], log: [], agreed: [], cleared: ['d'], unlooked: [] });
    expect(cards.map((c) => [c.kind, c.names['bit'] ?? c.names['pitch'] ?? null])).toEqual([
      ['markOut', jasmine.any(Number)],
      ['backBoard', null],
      ['drillRowTo', '3.0 mm'],
      ['drillRowTo', '7.9 mm'],
    ]);
    const left = leftBy('drillRow', choice, state);
    expect(left.holes.map((h) => [h.kind, h.diameter!.value, h.basis.kind, h.diameter!.basis.kind])).toEqual(
      Array.from({ length: 6 }, () => ['string', 7.9, 'work', 'work']),
    );
    expect(undoRecipe(compareAnatomies(state.anatomy, left)).every((x) => x.kind === 'cannotUnmakeHole')).toBeTrue();
    expect([...placesWorkedOn(choice, left)]).toEqual(jasmine.arrayContaining(['strings 1', 'strings 6']));
    expect(evaluateChoice(plainState(left), choice).anatomy.holes.length).toBe(6);
  });

  it('left alone, or gone back from before any was drilled, add no hole', () => {
    const state = { ...plainState(), tools };
    const keep = optionsFor(state, { format: 5, choices: [choice] }, choice, request).find((o) => o.proposal.kind === 'keep')!;
    expect([keep.evaluation.anatomy.holes.length, keep.evaluation.verdicts]).toEqual([0, []]);
    const does = doesOf('drillRow', choice, state);
    const begun = { kind: 'drillRow' as const, does, state: 'doing' as const, steps: [{ kind: 'markOut', drill: null }], depths: [], entry: 'e' };
    const back = goBack({ decision: 'd', chosen: choice, work: [begun], was: state.anatomy, state });
    expect([back.operations, back.stays, evaluateChoice(state, back.choice).anatomy.holes.length]).toEqual([[], [], 0]);
  });

  it('are none of one, of too many, or into one another', () => {
    const of = (more: Partial<HoleRow>): string | null => problem(holeRow('x', { ...row, ...more }, s));
    expect([of({ count: 1 }), of({ count: 25 }), of({ pitch: 7 })]).toEqual(['tooMany', 'tooMany', 'tooClose']);
  });
});

describe('a relief that a plate sinks into', () => {
  const made = relief(plainAnatomy(), { id: 'sink', plate: 'plate', room: 0.2, depth: null }, s);

  it('is the plate’s own edge with room, as deep as it is thick, joined with what it lies over; what hangs in the plate comes down', () => {
    const choice = choiceOf(made);
    const [cut, sunk] = actsOfChoice(choice);
    if (cut?.kind !== 'addCavity') throw new Error('no cavity');
    const b = bounds([cut.cavity.levels[0]!.outline.outline]);
    expect([b.maxX - b.minX, b.maxY - b.minY].map((n) => Number(n.toFixed(2)))).toEqual([110.4, 60.4]);
    expect([cut.cavity.levels[0]!.depth!.value, cut.cavity.joins, cut.cavity.kind]).toEqual([2, ['route'], 'recess']);
    expect(sunk).toEqual({ kind: 'raisePickup', position: 'here', by: { value: -2, limit: s.limitPlannedDepth, basis: { kind: 'planned' } } });
    const all = verdicts(plainAnatomy(), choice);
    expect(all.filter((v) => v.check === 'wall').map((v) => v.subject.against)).not.toContain('route');
    expect(all.find((v) => v.check === 'floor')!.clearance).toBeCloseTo(44 - 2 - 14, 9);
  });

  it('takes depth from the pickup that hangs in the plate', () => {
    const small = plainChoice({ part: 'small', insertFitted: true });
    const room = (choices: readonly Choice[]): number =>
      ofChoice(evaluatePlan(plainState(), { format: 5, choices }), 'here').verdicts.find((v) => v.check === 'depthUnderPart')!.clearance!;
    // 18 − 15 = 3, and 2 less
    expect(room([small])).toBeCloseTo(3, 9);
    expect(room([choiceOf(made), small])).toBeCloseTo(1, 9);
  });

  it('is none of a plate that is not there, or whose thickness nobody knows', () => {
    const a = plainAnatomy();
    const unknown = { ...a, plates: a.plates.map((p) => ({ ...p, thickness: null })) };
    expect([
      problem(relief(a, { id: 'x', plate: 'moon', room: 0.2, depth: 2 }, s)),
      problem(relief(unknown, { id: 'x', plate: 'plate', room: 0.2, depth: null }, s)),
    ]).toEqual(['noPlate', 'noThickness']);
    expect(problem(relief(unknown, { id: 'x', plate: 'plate', room: 0, depth: 3 }, s))).toBeNull();
  });
});

describe('a cavity where none was', () => {
  const drawn = { name: 'Battery box', kind: 'control' as const, face: 'back' as const, outline: roundedRectangle(56, 32, 5, { x: -60, y: 300 }), depth: 24 };
  const choice = choiceOf(newCavity('box', drawn, s));

  it('is judged by floor, walls, edge and the bits that are here', () => {
    const all = verdicts(plainAnatomy(), choice);
    expect(all.find((v) => v.check === 'floor')!.clearance).toBeCloseTo(20, 9);
    expect(all.find((v) => v.check === 'cutterInCorner')!.class).toBe('well');
    const sharp = choiceOf(newCavity('box', { ...drawn, outline: roundedRectangle(56, 32, 2, { x: -60, y: 300 }) }, s));
    expect(verdicts(plainAnatomy(), sharp).find((v) => v.check === 'cutterInCorner')!.class).toBe('clashes');
    const through = choiceOf(newCavity('box', { ...drawn, depth: 50 }, s));
    expect(verdicts(plainAnatomy(), through).find((v) => v.check === 'floor')!.class).toBe('clashes');
    const off = choiceOf(newCavity('box', { ...drawn, outline: roundedRectangle(56, 32, 5, { x: 400, y: 300 }) }, s));
    expect(verdicts(plainAnatomy(), off).find((v) => v.check === 'edgeOfBody')!.class).toBe('clashes');
  });

  it('is cut by cards that ask its depth, left as it was read, and once; a slip before its end is in the wood and the rest still planned', () => {
    const state = { ...plainState(), tools };
    const { cards } = benchNow({ state, job: 'j', choices: { d: choice }, operations: [], waivers: [], log: [], agreed: [], cleared: ['d'], unlooked: [] });
    expect(cards.map((c) => [c.kind, c.asks?.expected ?? null])).toEqual([
      ['layOutline', null],
      ['unplug', null],
      ['deepenTo', 24],
      ['tryPart', null],
    ]);
    const depths = [{ level: 'floor', value: 24.3, limit: 0.05, entry: 'r' }];
    const left = leftBy('cutCavity', choice, state, { depths });
    const box = (a: Anatomy) => a.cavities.find((c) => c.id === 'box cavity')!;
    expect([box(left).levels[0]!.depth!.value, box(left).levels[0]!.depth!.basis.kind]).toEqual([24.3, 'work']);
    expect(evaluateChoice(plainState(left), choice).anatomy.cavities.length).toBe(left.cavities.length);
    expect(compareAnatomies(state.anatomy, left).map((d) => d.kind)).toEqual(['levelAdded']);
    const slipped = asSlipped({ decision: 'd', choice, gone: { level: 'floor', side: 'bass', by: 2, depth: 6 }, entry: 'entry' }, state);
    expect(box(slipped).levels.length).toBe(1);
    expect(box(evaluateChoice(plainState(slipped), choice).anatomy).levels.length).toBe(2);
    expect(box(leftBy('cutCavity', choice, plainState(slipped), { depths })).levels.length).toBe(2);
  });

  it('gone back from before its floor was read leaves nothing, and after it the wood stays away', () => {
    const a = plainAnatomy();
    const does = doesOf('cutCavity', choice, plainState());
    const steps = [{ kind: 'deepenTo', drill: null }];
    const back = (depths: WorkSoFar['depths']) =>
      goBack({ decision: 'd', chosen: choice, work: [{ kind: 'cutCavity', does, state: 'doing', steps, depths, entry: 'e' }], was: a, state: plainState() });
    expect([back([]).stays, back([]).anatomy.cavities.length]).toEqual([[], a.cavities.length]);
    expect(back([{ level: 'floor', value: 9, limit: 0.05, entry: 'r' }]).stays.map((x) => x.kind)).toEqual(['cannotPutWoodBack']);
  });
});

describe('a cut that is pulled to another place', () => {
  it('goes there whole: six holes, or a cavity; what a plate or a cavity puts where it is stays', () => {
    const row6 = moveCut(choiceOf(holeRow('strings', row, s)), { x: -20, y: 250 });
    expect(
      actsOf(actsOfChoice(row6), 'addHole')
        .map((w) => [w.hole.at.x, w.hole.at.y])
        .map(([x, y]) => [Number(x!.toFixed(6)), y]),
    ).toEqual([
      [-20, 250],
      [-9.6, 250],
      [0.8, 250],
      [11.2, 250],
      [21.6, 250],
      [32, 250],
    ]);
    const box = choiceOf(newCavity('box', { name: 'Box', kind: 'control', face: 'back', outline: roundedRectangle(20, 10, 2, { x: 5, y: 5 }), depth: 9 }, s));
    const [there] = actsOfChoice(moveCut(box, { x: 15, y: 105 }));
    const b = bounds(there?.kind === 'addCavity' ? there.cavity.levels.map((p) => p.outline.outline) : []);
    expect([b.minX, b.maxX, b.minY, b.maxY]).toEqual([5, 25, 100, 110]);
    const sunk = choiceOf(relief(plainAnatomy(), { id: 'sink', plate: 'plate', room: 0, depth: 2 }, s));
    expect([moveCut(sunk, { x: 0, y: 0 }), isMovableCut(sunk), isMovableCut(box)]).toEqual([sunk, false, true]);
  });
});

describe('surfacing on rails', () => {
  it('from 8.0 to 5.5 by 1.0 takes three rounds; projection is rails + base − height', () => {
    const { heights, projections } = surfacing(8, 5.5, 1, 40, 6);
    expect(heights).toEqual([7, 6, 5.5]);
    expect(projections.map((p) => valueOf(p))).toEqual([39, 40, 40.5]);
    expect([surfacing(5, 5, 1, 40, 6).heights, surfacing(5, 8, 1, 40, 6).heights, surfacing(8, 5, 0, 40, 6).heights]).toEqual([[], [], []]);
  });
});

describe('a slanted bore', () => {
  it('60 away and 20 deep is 63.2 long at 18.4°, towards where it comes out', () => {
    const b = slantedBore({ x: 10, y: 100 }, 20, { x: 10, y: 160 })!;
    expect([b.length, b.angle, b.heading].map((v) => Number(v.toFixed(3)))).toEqual([63.246, 18.435, 90]);
    expect(slantedBore({ x: 1, y: 1 }, 0, { x: 1, y: 1 })).toBeNull();
  });
});
