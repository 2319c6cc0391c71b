// An instrument as it comes in at the door: typed sizes are read back from what is drawn, by the bounds of the outlines.
import { bounds, gapInside, selfCrossing } from '../shape/index.js';
import { seeded } from '../testing/random.js';
import { arrivedAnatomy, outlineAt, sizeAt, sizeProblems, startingAnatomy, STARTING_KINDS, targetOfSize, type Arrival, type SizeKey } from './index.js';

const plain: Arrival = { kind: 'bolt-on solid', handed: 'right', strings: null, cover: null, sizes: {}, fitted: null };

describe('an instrument that arrives', () => {
  it('is typical where nothing is at hand', () => {
    for (const kind of STARTING_KINDS) expect(arrivedAnatomy({ ...plain, kind })).toEqual(startingAnatomy(kind));
  });

  it('hangs a pickup in the cover over its route: 90 × 22 × 17 under a guard', () => {
    const a = arrivedAnatomy({
      ...plain,
      handed: 'left',
      cover: 'guard',
      fitted: 'old',
      sizes: { thickness: 44.2, pocketDepth: 16, 'route-width': 90, 'route-height': 22, routeDepth: 17 },
    });
    expect(a.body.thickness).toEqual({ value: 44.2, limit: 0.25, basis: { kind: 'stated' } });
    const route = a.cavities.find((c) => c.kind === 'route')!;
    expect(route.levels.map((l) => [l.depth?.value, l.depth?.basis.kind, l.outline.basis.kind])).toEqual([[17, 'stated', 'stated']]);
    // a scale of 640 whose pocket begins at 395 has its bridge at 245; the route is 42 nearer
    expect(bounds([route.levels[0]!.outline.outline])).toEqual({ minX: -45, maxX: 45, minY: 192, maxY: 214 });
    const [p] = a.positions;
    expect([p!.cavity, p!.at, p!.part]).toEqual([route.id, { x: 0, y: 203 }, 'old']);
    expect(a.plates.find((x) => x.id === p!.plate)!.kind).toBe('guard');
    expect(a.handed).toBe('left');
    // what nobody typed is typical still
    expect(a.neck.scale!.basis.kind).toBe('default');
  });

  it('gives a route to what has none, and lets a plate and a ring reach over it', () => {
    for (const cover of ['plate', 'ring'] as const) {
      const a = arrivedAnatomy({ ...plain, kind: 'found object', cover, sizes: { 'route-width': 118, 'route-height': 60 } });
      const route = a.cavities.find((c) => c.kind === 'route')!.levels[0]!.outline.outline;
      const over = a.plates.find((x) => x.kind === cover)!.outline.outline;
      expect(gapInside([route], [over]).clearance).toBeGreaterThanOrEqual(4);
    }
  });

  it('draws every kind of body as wide and as long as it is', () => {
    const r = seeded(41);
    for (const kind of STARTING_KINDS)
      for (let i = 0; i < 5; i++) {
        const [bodyWidth, bodyLength] = [280 + Math.round(120 * r()), 380 + Math.round(120 * r())];
        const o = arrivedAnatomy({ ...plain, kind, sizes: { bodyWidth, bodyLength } }).body.outline!.outline;
        const b = bounds([o]);
        expect(Math.abs(b.maxX - b.minX - bodyWidth))
          .withContext(`${kind} ${bodyWidth}`)
          .toBeLessThan(0.5);
        expect(Math.abs(b.maxY - b.minY - bodyLength))
          .withContext(`${kind} ${bodyLength}`)
          .toBeLessThan(0.5);
        expect(selfCrossing(o)).withContext(`${kind} ${bodyWidth} × ${bodyLength}`).toBeNull();
      }
  });

  it('reads back what was typed, in any mixture', () => {
    const r = seeded(7);
    const around: readonly (readonly [SizeKey, number, number])[] = [
      ['scale', 620, 660],
      ['nutToMouth', 380, 410],
      ['spreadAtNut', 34, 37],
      ['spreadAtSaddles', 50, 54],
      ['thickness', 40, 50],
      ['pocketWidth', 54, 58],
      ['pocketLength', 60, 80],
      ['pocketDepth', 12, 20],
      ['routeDepth', 12, 22],
      ['route-x', -5, 5],
      ['route-y', 90, 220],
      ['route-width', 60, 95],
      ['route-height', 18, 45],
      ['cover-width', 110, 140],
      ['cover-height', 60, 90],
      ['coverThickness', 1, 3],
      ['window-width', 60, 80],
      ['window-height', 30, 45],
      ['back-x', -90, 90],
      ['back-width', 30, 60],
      ['backDepth', 10, 38],
    ];
    for (let i = 0; i < 60; i++) {
      const sizes = Object.fromEntries(around.flatMap(([key, from, to]) => (r() < 0.5 ? [[key, Math.round(10 * (from + (to - from) * r())) / 10]] : [])));
      const a = arrivedAnatomy({ ...plain, cover: 'plate', sizes });
      for (const [key, value] of Object.entries(sizes)) {
        expect(sizeAt(a, key as SizeKey))
          .withContext(key)
          .toBeCloseTo(value as number, 9);
        const target = targetOfSize(a, key as SizeKey);
        if (target?.quantity.startsWith('checkWidth')) expect(outlineAt(a, target.feature, target.part)).not.toBeNull();
      }
    }
  });

  it('says what cannot be beside a size that was typed', () => {
    const problems = (sizes: Arrival['sizes']) => sizeProblems({ ...plain, cover: 'plate', sizes }).map((p) => [p.kind, p.key]);
    expect(problems({})).toEqual([]);
    expect(problems({ thickness: 44, routeDepth: 44 })).toEqual([['deeperThanBody', 'routeDepth']]);
    // a typical control cavity of 36.5 in a thin body: the thickness is what was typed
    expect(problems({ thickness: 30 })).toEqual([['deeperThanBody', 'thickness']]);
    expect(problems({ 'route-width': 420 })).toEqual([['routeOutsideBody', 'route-width']]);
    expect(problems({ 'window-width': 140 })).toEqual([['windowOutsideCover', 'window-width']]);
    expect(problems({ nutToMouth: 650 }).map(([kind]) => kind)).toContain('mouthBeyondScale');
    expect(problems({ spreadAtSaddles: 30 })).toEqual([['spreadNarrows', 'spreadAtSaddles']]);
  });
});
