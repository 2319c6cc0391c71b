import { evaluateChoice } from '../house/index.js';
import type { PlannedRoute, Verdict } from '../check/index.js';
import type { Anatomy } from '../instrument/index.js';
import { leftBy } from '../testing/work.js';
import { settingsWith } from '../operation/index.js';
import { seeded } from '../testing/random.js';
import { boxPickup, dim, plainAnatomy, plainChoice, plainState } from '../testing/plan.js';
import { area, bounds, circle, placeOutline, roundedRectangle, smallestInsideRadius, unionArea, differenceArea, type Outline } from '../shape/index.js';
import { alongPart, mirroredRoute, outlinedRoute, routeFigures, snapRoute, takingIn, withChannel, type DerivedRoute } from './index.js';

const s = settingsWith();
const at = { x: 0, y: 110, turn: 0 };
const R = 4.7625;

function made(d: DerivedRoute): PlannedRoute {
  if ('problem' in d) throw new Error(d.problem);
  return d.route;
}
const problem = (d: DerivedRoute): string | null => ('problem' in d ? d.problem : null);
const size = (r: PlannedRoute, id: string): readonly number[] => {
  const b = bounds([r.levels.find((p) => p.id === id)!.outline]);
  return [b.maxX - b.minX, b.maxY - b.minY].map((v) => Number(v.toFixed(2)));
};

describe('a route along a part', () => {
  const part = boxPickup('large', 84, 38, 17);

  it('is its outline with the clearance all round, corners as the cutter leaves them, floor and wells below it', () => {
    const route = made(alongPart(part, at, 1.2, R, s));
    expect(size(route, 'main')).toEqual([86.4, 40.4]);
    expect(smallestInsideRadius(route.levels[0]!.outline)).toBeCloseTo(R, 2);
    // lowest 17 + 1.5 under it; screws 18 + 2
    expect(route.levels.map((p) => [p.id, p.depth, p.bored])).toEqual([
      ['main', 18.5, false],
      ['well 1', 20, true],
      ['well 2', 20, true],
    ]);
  });

  it('makes room for each ear by itself, with a rectangle that the cutter goes into where the ear is narrower', () => {
    const lug = (x: number, w: number) => ({ outline: roundedRectangle(w, 12, 2, { x, y: 0 }), limit: 0.05, basis: { kind: 'default' as const } });
    const eared = (w: number) => ({ ...part, tiers: [...part.tiers, { id: 'ears' as const, shapes: [lug(-44, w), lug(44, w)], from: 0, lowest: dim(20) }] });
    // the corner of r 4.7625 takes 1.395; 4 + 2 × 2.395 = 8.79 is no room for a bit of 9.525: 10.03 wide, its outer end at 44 + 2 + 2.395
    const narrow = made(alongPart(eared(4), at, 1, R, s));
    expect(size(narrow, 'ear 2')[0]).toBeCloseTo(2 * R + 0.5, 1);
    expect(size(narrow, 'ear 2')[1]).toBeCloseTo(16.79, 1);
    expect(bounds([narrow.levels.find((p) => p.id === 'ear 2')!.outline]).maxX).toBeCloseTo(48.395, 2);
    expect(narrow.levels.find((p) => p.id === 'ear 1')!.depth).toBe(21.5);
    const [w, h] = size(made(alongPart(eared(16), at, 1, R, s)), 'ear 1');
    expect(Math.abs(w! - 20.79) + Math.abs(h! - 16.79)).toBeLessThan(0.03);
  });

  it('is none for a part without an outline, and none where no cutter goes in', () => {
    expect(problem(alongPart({ ...part, tiers: [] }, at, 1, R, s))).toBe('noOutline');
    expect(problem(alongPart(boxPickup('thin', 84, 6, 17), at, 1, R, s))).toBe('tooNarrow');
  });
});

describe('a route that takes the old one in', () => {
  const route: PlannedRoute = { at: { x: 1, y: 112, turn: 3 }, levels: [{ id: 'main', outline: roundedRectangle(70, 40, R), depth: 18, bored: false }] };
  const old = [roundedRectangle(80, 30, 5, { x: 0, y: 110 })];

  it('leaves nothing of it over but what no cutter reaches, wherever it lies and however it is turned', () => {
    const r = seeded(3);
    for (let i = 0; i < 12; i++) {
      const here = { ...route, at: { x: 6 * r() - 3, y: 107 + 6 * r(), turn: 20 * r() - 10 } };
      const wide = made(takingIn(here, old, R)).levels[0]!;
      const placed = placeOutline(wide.outline, here.at);
      expect(differenceArea(old, [placed]))
        .withContext(String(i))
        .toBeLessThan(1.5);
      expect(area(placed)).toBeLessThanOrEqual(unionArea([...old, placeOutline(route.levels[0]!.outline, here.at)]) + 0.05);
    }
  });

  it('cannot take in what it does not touch, or leave an island standing', () => {
    expect(problem(takingIn(route, [roundedRectangle(20, 20, 5, { x: 0, y: 300 })], R))).toBe('apart');
    expect(problem(takingIn(route, [], R))).toBe('noOutline');
  });

  it('is told apart into what a plate hides and what is in sight', () => {
    const state = plainState();
    const cavity = state.anatomy.cavities.find((c) => c.id === 'route')!;
    const narrow: PlannedRoute = { at, levels: [{ id: 'main', outline: roundedRectangle(70, 30, 5), depth: 18, bored: false }] };
    const hidden = routeFigures(state, cavity, narrow);
    expect([hidden.leftOver > 200, hidden.leftInSight]).toEqual([true, 0]);
    const bare = routeFigures(state, { ...cavity, hiddenBy: null }, narrow);
    expect(bare.leftInSight).toBeCloseTo(bare.leftOver, 2);
  });
});

describe('a channel to another cavity', () => {
  const route: PlannedRoute = { at, levels: [{ id: 'main', outline: roundedRectangle(86, 40, 5), depth: 18, bored: false }] };
  const controlAt = (y: number): Outline => roundedRectangle(40, 60, 8, { x: 0, y });
  const control = controlAt(230);
  const withControl = (y: number): Anatomy => ({
    ...plainAnatomy(),
    cavities: [
      ...plainAnatomy().cavities,
      {
        id: 'control',
        name: 'Control',
        kind: 'control',
        face: 'top',
        frame: 'body',
        hiddenBy: null,
        condition: 'sound',
        levels: [
          {
            id: 'c',
            set: 'found',
            outline: { outline: controlAt(y), limit: 0.1, basis: { kind: 'stated' }, across: null, along: null },
            depth: { value: 30, limit: 0.1, basis: { kind: 'stated' } },
            bored: false,
          },
        ],
      },
    ],
  });
  const wallTo = (verdicts: readonly Verdict[], against: string): readonly Verdict[] =>
    verdicts.filter((v) => v.check === 'wall' && v.subject.against === against);

  it('goes the shortest way and reaches into both by its width', () => {
    const channel = made(withChannel(route, { id: 'control', region: [control] }, 12, 15, R)).levels.at(-1)!;
    const b = bounds([placeOutline(channel.outline, at)]);
    // from 130 to 200, and 12 more at each end
    expect([b.minY, b.maxY, b.maxX - b.minX].map((v) => Number(v.toFixed(3)))).toEqual([118, 212, 12]);
    expect([channel.id, channel.depth]).toEqual(['channel', 15]);
  });

  it('has no wall to what it was joined with on purpose, a wall to all others, and stays joined in the instrument as left', () => {
    const state = plainState(withControl(180));
    const joined = made(withChannel(route, { id: 'control', region: [controlAt(180)] }, 12, 15, R));
    const choice = plainChoice({ route: joined });
    const after = evaluateChoice(state, choice);
    const fresh = wallTo(after.verdicts, 'control').filter((v) => v.subject.item === 'planned');
    expect(fresh).toEqual([]);
    expect(wallTo(after.verdicts, 'pocket').length).toBe(2);
    const cutInto = evaluateChoice(state, plainChoice({ route: { at: joined.at, levels: joined.levels } }));
    expect(wallTo(cutInto.verdicts, 'control').find((v) => v.subject.item === 'planned')!.class).toBe('clashes');
    const left = leftBy('routePasses', choice, state);
    expect(left.cavities.find((c) => c.id === 'route')!.joins).toEqual(['control']);
    // moved away from it again, a wall is asked for
    const archived = evaluateChoice(state, plainChoice({ route: { ...joined, levels: route.levels } }));
    expect(wallTo(archived.verdicts, 'control').find((v) => v.subject.item === 'planned')!.clearance).toBeCloseTo(20, 1);
  });

  it('is none that is narrower than the cutter, and none to what it runs into already', () => {
    expect(problem(withChannel(route, { id: 'control', region: [control] }, 8, 15, R))).toBe('tooNarrow');
    expect(problem(withChannel(route, { id: 'x', region: [roundedRectangle(20, 40, 5, { x: 0, y: 130 })] }, 12, 15, R))).toBe('joined');
    expect(problem(withChannel(route, { id: 'x', region: [] }, 12, 15, R))).toBe('noOutline');
  });
});

describe('a route on its way', () => {
  const route: PlannedRoute = { at, levels: [{ id: 'main', outline: roundedRectangle(44, 24, 5), depth: 18, bored: false }] };

  it('comes to rest with its middle on the centre line or a string, with an edge on a neighbour’s, and goes by what is out of reach', () => {
    const a = plainAnatomy();
    expect(snapRoute(a, 'route', route, { x: 0.3, y: 150.2, turn: 0 }, 0.5)).toEqual({ to: { x: 0, y: 150.2, turn: 0 }, across: 0, along: null });
    // spread at 150: 36 + 16 × 550 / 640 = 49.75; the second string of six lies a fifth in from −24.875
    const second = -49.75 / 2 + 49.75 / 5;
    expect(snapRoute(a, 'route', route, { x: second + 0.2, y: 150, turn: 0 }, 0.3).to.x).toBeCloseTo(second, 9);
    // the neck pocket ends at 70: an upper edge at 70 is a middle at 82
    expect(snapRoute(a, 'route', route, { x: 7, y: 82.3, turn: 0 }, 0.5)).toEqual({ to: { x: 7, y: 82, turn: 0 }, across: null, along: 70 });
    expect(snapRoute(a, 'route', route, { x: 7, y: 83, turn: 0 }, 0.5).to).toEqual({ x: 7, y: 83, turn: 0 });
  });
});

describe('a mirrored route', () => {
  it('lies on the other side, and twice mirrored where it was', () => {
    const route: PlannedRoute = {
      at: { x: 7, y: 110, turn: 12 },
      levels: [
        {
          id: 'main',
          outline: {
            vertices: [
              { x: 0, y: 0, bulge: 0 },
              { x: 30, y: 0, bulge: 0.3 },
              { x: 0, y: 20, bulge: 0 },
            ],
          },
          depth: 18,
          bored: false,
        },
      ],
    };
    const box = (r: PlannedRoute) => bounds(r.levels.map((p) => placeOutline(p.outline, r.at)));
    const [here, there] = [box(route), box(mirroredRoute(route))];
    expect(there.minX).toBeCloseTo(-here.maxX, 9);
    expect(there.minY).toBeCloseTo(here.minY, 9);
    const back = box(mirroredRoute(mirroredRoute(route)));
    for (const k of ['minX', 'maxX', 'minY', 'maxY'] as const) expect(back[k]).toBeCloseTo(here[k], 9);
  });
});

describe('a route with a traced outline', () => {
  it('has it for its floor, as deep as before, about its own middle; wells stay where they are', () => {
    const traced = { vertices: roundedRectangle(90, 42, 6, { x: 4, y: 112 }).vertices };
    const before: PlannedRoute = {
      at: { x: 0, y: 100, turn: 90 },
      levels: [
        { id: 'main', outline: roundedRectangle(40, 40, 5), depth: 18, bored: false },
        { id: 'ear', outline: roundedRectangle(13, 13, 5, { x: 20, y: 0 }), depth: 22, bored: false },
        { id: 'well', outline: circle(6, { x: 30, y: 0 }), depth: 25, bored: true },
      ],
    };
    const after = outlinedRoute(before, traced);
    expect([after.at, after.levels.map((p) => [p.id, p.depth])]).toEqual([
      { x: 4, y: 112, turn: 0 },
      [
        ['main', 18],
        ['well', 25],
      ],
    ]);
    const laid = (r: PlannedRoute, id: string) => bounds(r.levels.filter((p) => p.id === id).map((p) => placeOutline(p.outline, r.at)));
    const [was, is] = [laid(before, 'well'), laid(after, 'well')];
    for (const side of ['minX', 'maxX', 'minY', 'maxY'] as const) expect(is[side]).toBeCloseTo(was[side], 9);
    const main = laid(after, 'main');
    expect([main.minX, main.maxX, main.minY, main.maxY].map((v) => Number(v.toFixed(9)))).toEqual([-41, 49, 91, 133]);
    // plain data: what an outline was placed from does not go into the plan
    expect(Object.keys(after.levels[0]!.outline)).toEqual(['vertices']);
  });
});
