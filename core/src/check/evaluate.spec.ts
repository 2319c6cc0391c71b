import { evaluateChoice, evaluateIn, evaluatePlan } from '../house/index.js';
import { applyChanges } from '../instrument/index.js';
import { leavesOf, valueOf } from '../measure/index.js';
import { circle, filletedPolygon, gapInside, measureAgain, placeOutline, roundedRectangle, type Outline } from '../shape/index.js';
import { boxPickup, dim, plainAnatomy, plainChoice, plainPlan, plainState } from '../testing/plan.js';
import { seeded } from '../testing/random.js';
import { tightestCorner } from './corner.js';
import { ofChoice, type PlanState, type PlannedLevel, type Verdict } from './index.js';

const route: readonly PlannedLevel[] = [
  { id: 'main', outline: roundedRectangle(87, 41, 5), depth: 19, bored: false },
  { id: 'well', outline: circle(6, { x: 38, y: 0 }), depth: 21, bored: true },
];
const planned = plainChoice({ route: { at: { x: 0, y: 110, turn: 0 }, levels: route } });

function find(verdicts: readonly Verdict[], start: string): Verdict {
  const v = verdicts.find((x) => x.id.startsWith(start));
  if (!v) throw new Error(`${start} not among ${verdicts.map((x) => x.id).join(', ')}`);
  return v;
}

function withThickness(mm: number | null): PlanState {
  const a = plainAnatomy();
  return plainState({ ...a, body: { ...a.body, thickness: mm === null ? null : dim(mm) } });
}

describe('evaluate', () => {
  it('judges a floor by thickness − top depth − depth below, and changes class at each threshold', () => {
    // planned depth ± 0.2, two readings ± 0.05: u = 0.3; wanted 5; below the main level: 44 − 19 − 14 = 11
    const floor = (t: number): Verdict => find(evaluateChoice(withThickness(t), planned).verdicts, 'floor/route/planned/19.000');
    expect(floor(44).clearance).toBeCloseTo(11, 9);
    expect(floor(44).worst).toBeCloseTo(0.3, 9);
    expect(floor(33 + 5.3).class).toBe('well');
    expect(floor(33 + 5.29).class).toBe('thin');
    expect(floor(33 + 0.31).class).toBe('thin');
    expect(floor(33 + 0.3).class).toBe('tooClose');
    expect(floor(33 - 0.3).class).toBe('tooClose');
    expect(floor(33 - 0.31).class).toBe('clashes');
  });

  it('never clears what was not measured, and says what is missing', () => {
    const v = find(evaluateChoice(withThickness(null), planned).verdicts, 'floor/route/planned/19.000');
    expect(v.class).toBe('notMeasured');
    expect(v.clearance).toBeNull();
    expect(v.missing).toEqual([{ quantity: 'bodyThickness', feature: 'body' }]);
  });

  it('marks what rests on hearsay as typical', () => {
    const a = plainAnatomy();
    const s = plainState({ ...a, body: { ...a.body, thickness: { value: 44, limit: 1, basis: { kind: 'stated' } } } });
    expect(find(evaluateChoice(s, planned).verdicts, 'floor/route/planned/19.000').typical).toBeTrue();
    expect(find(evaluateChoice(plainState(), planned).verdicts, 'floor/route/planned/19.000').typical).toBeFalse();
  });

  it('measures the part in its route: 84 × 38 in 87 × 41 has 1.5 a side and less at its corners', () => {
    // corner centres (37.5, 15.5) in the route, (39, 16) in the base r 3: 5 − 3 − hypot(0.5, 0.5)…
    const dx = 42 - 3 - (43.5 - 5);
    const dy = 19 - 3 - (20.5 - 5);
    const v = find(evaluateChoice(plainState(), planned).verdicts, 'partInRoute/here/base');
    expect(v.clearance).toBeCloseTo(Math.min(1.5, 5 - 3 - Math.hypot(dx, dy)), 9);
  });

  it('judges the smallest corner apart: 4.5 from both walls, r 3 in r 5, and up to (2 · 4.5 − 3) + √2 · 1.5 would do', () => {
    const v = find(evaluateChoice(plainState(), planned).verdicts, 'smallestCorner/here/');
    expect(v.clearance).toBeCloseTo(5 - 3 - Math.hypot(0.5, 0.5), 9);
    expect(v.corner?.ofPart).toBeCloseTo(3, 9);
    expect(v.corner?.ofRoute).toBeCloseTo(5, 9);
    expect(v.corner?.most).toBeCloseTo(6 + Math.SQRT2 * 1.5, 9);
    expect(v.at!.x).toBeCloseTo(Math.sign(v.at!.x) * (39 + 3 * Math.SQRT1_2), 6);
  });

  it('calls a corner a clash where the walls are passed but the rounding is in the way', () => {
    const tight = plainChoice({
      route: { at: { x: 0, y: 110, turn: 0 }, levels: [{ id: 'main', outline: roundedRectangle(86, 40, 12), depth: 19, bored: false }] },
    });
    // walls 1.0 away: centres of the roundings (31, 8) and (39, 16)
    const v = find(evaluateChoice(plainState(), tight).verdicts, 'smallestCorner/here/');
    expect(v.clearance).toBeCloseTo(12 - 3 - Math.hypot(8, 8), 3);
    expect(v.class).toBe('clashes');
  });

  it('says nothing of corners where the part does not pass the walls, or where a wall of the route has none', () => {
    expect(evaluateChoice(plainState(), plainChoice()).verdicts.some((v) => v.check === 'smallestCorner')).toBeFalse();
    expect(tightestCorner(roundedRectangle(10, 8, 1), [circle(30)])).toBeNull();
    expect(tightestCorner(circle(8), [roundedRectangle(20, 10, 2)])).toBeNull();
    expect(tightestCorner(roundedRectangle(10, 8, 0), [roundedRectangle(11, 9, 0)])?.clearance).toBeCloseTo(0.5, 9);
  });

  it('names the largest rounding truly: with it the part just touches, on 60 seeded corners of any angle', () => {
    const r = seeded(41);
    for (let i = 0; i < 60; i++) {
      const half = 0.4 + 0.5 * r();
      const [s, c] = [Math.sin(half), Math.cos(half)];
      const kite = (radius: number): Outline =>
        filletedPolygon(
          [
            { x: 0, y: 0 },
            { x: 4000 * c, y: -4000 * s },
            { x: 8000 * c, y: 0 },
            { x: 4000 * c, y: 4000 * s },
          ],
          radius,
        );
      const part = placeOutline(roundedRectangle(8, 6, 0.5 + 2 * r()), { x: 9 / s + 3 * r(), y: r() - 0.5, turn: 90 * r() });
      const met = tightestCorner(part, [kite(1)])!;
      const gap = gapInside([circle(2 * met.part.radius, met.part.centre)], [kite(met.corner.most)]);
      expect(gap.clearance).withContext(String(i)).toBeCloseTo(0, 5);
    }
  });

  it('finds how far a base stands out: 84 × 38 r 3 of 80 × 30 r 5, worst at its corners', () => {
    // corner centres (39, 16) and (35, 10): hypot(4, 6) + 3 − 5
    expect(find(evaluateChoice(plainState(), plainChoice()).verdicts, 'partInRoute/here/base').clearance).toBeCloseTo(-(Math.hypot(4, 6) + 3 - 5), 3);
  });

  it('gives the wall to a pocket whose end is at 70: 110 − 20.5 − 70', () => {
    expect(find(evaluateChoice(plainState(), planned).verdicts, 'wall/route/planned/pocket').clearance).toBeCloseTo(19.5, 9);
  });

  it('counts leads', () => {
    expect(find(evaluateChoice(plainState(), plainChoice({ ...planned, leadsNeeded: 5 })).verdicts, 'leads').class).toBe('clashes');
    expect(find(evaluateChoice(plainState(), plainChoice({ ...planned, leadsNeeded: 4 })).verdicts, 'leads').class).toBe('well');
  });

  it('sorts the gravest first', () => {
    const classes = evaluateChoice(withThickness(20), planned).verdicts.map((v) => v.class);
    expect(classes[0]).toBe('clashes');
    expect(classes[classes.length - 1]).toBe('well');
  });

  it('comes to the same with warm memos as with cold ones, on 40 seeded places', () => {
    const warm = plainState();
    const r = seeded(99);
    for (let i = 0; i < 40; i++) {
      const plan = plainChoice({ route: { at: { x: 6 * (r() - 0.5), y: 110 + 8 * (r() - 0.5), turn: 6 * (r() - 0.5) }, levels: route } });
      const cold = structuredClone({ state: warm, plan });
      expect(evaluateChoice(warm, plan).verdicts.map((v) => [v.id, v.clearance, v.class])).toEqual(
        evaluateChoice(cold.state, cold.plan).verdicts.map((v) => [v.id, v.clearance, v.class]),
      );
    }
  });

  it('every working evaluates again to its clearance and its leaves say what they rest on', () => {
    for (const v of evaluateChoice(plainState(), planned).verdicts) {
      if (!v.working) continue;
      expect(valueOf(v.working, measureAgain)).withContext(v.id).toBeCloseTo(v.clearance!, 6);
      for (const l of leavesOf(v.working)) expect(l.basis.kind).toBeTruthy();
    }
  });

  it('refuses names that are not there', () => {
    expect(evaluateChoice(plainState(), plainChoice({ position: 'nowhere' })).verdicts.map((v) => [v.check, v.class])).toEqual([['placeGone', 'clashes']]);
    expect(() => evaluateChoice(plainState(), plainChoice({ part: 'nothing' }))).toThrowError(RangeError);
    expect(() => evaluatePlan(plainState(), plainPlan(), [{ kind: 'addLevels', cavity: 'nowhere', levels: [] }])).toThrowError(RangeError);
    expect(() => applyChanges(plainAnatomy(), [{ kind: 'setInsert', plate: 'plate', opening: 'nowhere', fitted: true }])).toThrowError(RangeError);
  });

  it('changes its inputs not at all', () => {
    const state = plainState();
    const before = JSON.stringify(state);
    evaluateChoice(state, planned);
    expect(JSON.stringify(state)).toBe(before);
  });

  it('asks poles to be within the strings’ spread: 36 to 52 over 640, at 400 + 110', () => {
    const spread = 36 + (16 * 510) / 640;
    const v = find(evaluateChoice(plainState(), planned).verdicts, 'polesUnderStrings/here/row 1');
    expect(v.clearance).toBeCloseTo(2.5 - Math.abs(50 - spread) / 2, 9);
  });

  it('lets a part of another height stand on another floor', () => {
    const state = { ...plainState(), parts: { large: boxPickup('large', 84, 38, 18.9) } };
    expect(find(evaluateChoice(state, planned).verdicts, 'depthUnderPart/here/base').class).toBe('tooClose');
  });
});

describe('a plan of several choices', () => {
  /** A second place beside the first: its own route and window, 80 further on. */
  function two(): PlanState {
    const a = plainAnatomy();
    const [route, plate, position] = [a.cavities.find((c) => c.id === 'route')!, a.plates[0]!, a.positions[0]!];
    const down = (o: Outline): Outline => placeOutline(o, { x: 0, y: 60, turn: 0 });
    const cavity = {
      ...route,
      id: 'route 2',
      hiddenBy: null,
      levels: route.levels.map((p) => ({ ...p, outline: { ...p.outline, outline: down(p.outline.outline) } })),
    };
    const second = {
      ...plate,
      id: 'plate 2',
      outline: { ...plate.outline, outline: down(plate.outline.outline) },
      openings: plate.openings.map((o) => ({ ...o, id: 'window 2', insert: null, outline: { ...o.outline, outline: down(o.outline.outline) } })),
    };
    const place = { ...position, id: 'there', cavity: 'route 2', plate: 'plate 2', opening: 'window 2', at: { x: 0, y: 190 } };
    return plainState({ ...a, cavities: [...a.cavities, cavity], plates: [plate, second], positions: [position, place] });
  }
  const there = plainChoice({ id: 'there', position: 'there', part: 'small' });

  it('judges each in the instrument that all of them leave: a longer route here is a thinner wall there', () => {
    const state = two();
    const wall = (route: typeof planned.route): number => {
      const { verdicts } = evaluatePlan(state, plainPlan({ ...planned, route }, there));
      return find(ofChoice({ anatomy: state.anatomy, verdicts }, 'there').verdicts, 'wall/route 2/found/route').clearance!;
    };
    const at = (y: number): typeof planned.route => ({ at: { x: 0, y, turn: 0 }, levels: route });
    // between the old routes 60 − 30 = 30; the new one, 41 wide, takes 5.5 of it, and what it is moved
    expect(wall(null)).toBeCloseTo(30, 6);
    expect(wall(at(110))).toBeCloseTo(24.5, 6);
    expect(wall(at(113))).toBeCloseTo(21.5, 6);
  });

  it('keeps both of two routes that are planned into one cavity', () => {
    const state = plainState();
    const elsewhere = { ...planned, id: 'second', route: { at: { x: 0, y: 180, turn: 0 }, levels: route } };
    const { levels } = evaluatePlan(state, plainPlan(planned, elsewhere)).anatomy.cavities.find((c) => c.id === 'route')!;
    const added = levels.filter((p) => p.set === 'planned');
    expect(added.map((p) => p.id)).toEqual([...route.map((p) => p.id), ...route.map((p) => `${p.id} (2)`)]);
    expect(added.length).toBe(2 * route.length);
  });

  it('tells of one choice alone what it tells of it among all', () => {
    const state = two();
    const plan = plainPlan(planned, there);
    const all = evaluatePlan(state, plan);
    for (const c of plan.choices) expect(evaluateIn(state, plan, c).verdicts).toEqual(ofChoice(all, c.id).verdicts);
    expect(new Set(all.verdicts.map((v) => v.choice))).toEqual(new Set(['here', 'there']));
  });
});

describe('what a cutter and a plate’s screws say of a new route', () => {
  const cut = (radius: number) =>
    plainChoice({ route: { at: { x: 0, y: 110, turn: 0 }, levels: [{ id: 'main', outline: roundedRectangle(86, 40, radius), depth: 18, bored: false }] } });
  const said = (s: PlanState, radius: number, check: Verdict['check']): Verdict | undefined =>
    evaluateChoice(s, cut(radius)).verdicts.find((v) => v.check === check);

  it('a corner takes a bit of its own radius and none that is thicker; without any bit, or without a route, it says nothing', () => {
    // 9.525 / 2 = 4.7625
    expect([said(plainState(), 4.7625, 'cutterInCorner')!.class, said(plainState(), 4.75, 'cutterInCorner')!.class]).toEqual(['well', 'clashes']);
    expect(said({ ...plainState(), tools: [] }, 1, 'cutterInCorner')).toBeUndefined();
    expect(evaluateChoice(plainState(), plainChoice()).verdicts.find((v) => v.check === 'cutterInCorner')).toBeUndefined();
  });

  it('the worst screw of the plate stands in the wood beside the route, or in the air', () => {
    const screwed = (x: number): PlanState => {
      const a = plainAnatomy();
      const screws = [
        { x: -50, y: 110, gauge: 4, length: null },
        { x, y: 110, gauge: 4, length: null },
      ];
      return plainState({ ...a, plates: a.plates.map((p) => ({ ...p, screws })) });
    };
    // 48 − 43 less half of a #4 shank, 2.845
    const clear = said(screwed(48), 5, 'plateScrewInAir')!;
    expect(clear.clearance).toBeCloseTo(48 - 43 - 2.8448 / 2, 3);
    expect([clear.subject.item, clear.class]).toEqual(['screw 2', 'well']);
    expect(said(screwed(41), 5, 'plateScrewInAir')!.class).toBe('clashes');
    expect(said(screwed(45.5), 5, 'plateScrewInAir')!.class).toBe('thin');
  });
});

describe('a planned level with a found one’s id', () => {
  it('stands beside it: both keep their floors and walls', () => {
    const levels = [{ id: 'old', outline: roundedRectangle(60, 26, 5), depth: 20, bored: false }];
    const { anatomy, verdicts } = evaluateChoice(plainState(), plainChoice({ route: { at: { x: 0, y: 110, turn: 0 }, levels } }));
    expect(anatomy.cavities.find((c) => c.id === 'route')!.levels.map((p) => [p.id, p.set, p.depth?.value])).toEqual([
      ['old', 'found', 18],
      ['old', 'planned', 20],
    ]);
    // the found level is wider: its wall to the pocket is 95 − 70, the planned one's 97 − 70
    const wall = (set: string): number => verdicts.find((v) => v.check === 'wall' && v.subject.item === set && v.subject.against === 'pocket')!.clearance!;
    expect([wall('found'), wall('planned')].map((n) => Number(n.toFixed(6)))).toEqual([25, 27]);
  });
});
