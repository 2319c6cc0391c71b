import type { Anatomy } from '../instrument/index.js';
import { crossings, placeOutline, placePoint, roundedRectangle, type Placement } from '../shape/index.js';
import { hole } from '../testing/hardware.js';
import { boxPickup, dim, plainAnatomy, plainState } from '../testing/plan.js';
import { seeded } from '../testing/random.js';
import { lengthOf, pointAlong, sectionAlong, sectionDimensions, surfaceAlong, type SectionLine, type SectionPiece } from './index.js';

const across: SectionLine = { from: { x: -160, y: 110 }, to: { x: 160, y: 110 } };
const part = { pickup: boxPickup('small', 58, 22, 15), at: { x: 0, y: 110, turn: 0 } };
const of = (pieces: readonly SectionPiece[], kind: SectionPiece['kind']): readonly SectionPiece[] => pieces.filter((p) => p.kind === kind);

/** Whole instrument laid elsewhere in the plan. */
function laid(a: Anatomy, at: Placement): Anatomy {
  return {
    ...a,
    body: { ...a.body, outline: a.body.outline && { ...a.body.outline, outline: placeOutline(a.body.outline.outline, at) } },
    frames: a.frames.map((f) => ({ ...f, at })),
  };
}

describe('a section', () => {
  it('across the pickup has body, cavities, plate and part where they are, measured from the line’s beginning', () => {
    const pieces = sectionAlong(plainState().anatomy, across, part);
    const route = pieces.find((p) => p.id === 'route/old')!;
    // 160 − 40, 160 + 40
    expect([route.from, route.to, route.top, route.bottom].map((v) => Number(v.toFixed(6)))).toEqual([120, 200, 0, 18]);
    const back = pieces.find((p) => p.id === 'back/b')!;
    expect([back.top, back.bottom]).toEqual([30, 44]);
    expect([of(pieces, 'plate').length, of(pieces, 'screw').length]).toEqual([2, 2]);
    // its ears reach down to 6, the floor lies at 18: a spring of what is between
    const eared = { ...part.pickup, tiers: [...part.pickup.tiers, { ...part.pickup.tiers[1]!, id: 'ears' as const, lowest: dim(6) }] };
    expect(of(sectionAlong(plainAnatomy(), across, { ...part, pickup: eared }), 'spring').map((p) => [p.top, p.bottom])).toEqual([
      [6, 18],
      [6, 18],
    ]);
    expect(of(pieces, 'spring')).toEqual([]);
  });

  it('along the strings has what lies on that line, and at a slant what a hand with a ruler finds', () => {
    const along = sectionAlong(plainAnatomy(), { from: { x: 0, y: -40 }, to: { x: 0, y: 400 } }, null);
    const level = along.find((p) => p.id === 'pocket/p')!;
    expect([level.from, level.to, level.bottom].map((v) => Number(v.toFixed(6)))).toEqual([40, 110, 16]);
    // a 3-4-5 triangle: 30 along the strings are 37.5 along a line of 3 across to 4 along
    const slanted = sectionAlong(plainAnatomy(), { from: { x: -45, y: 50 }, to: { x: 45, y: 170 } }, null).find((p) => p.id === 'route/old')!;
    expect(slanted.to - slanted.from).toBeCloseTo(37.5, 6);
  });

  it('ends where its line ends, has holes, and nothing of what is not measured', () => {
    const a: Anatomy = {
      ...plainAnatomy(),
      holes: [
        hole('volume', 'pot', 10),
        hole('blind', 'pot', 10, { at: { x: 90, y: 240 }, through: false, depth: dim(12) }),
        hole('unknown', 'pot', null, { at: { x: 75, y: 240 } }),
      ],
    };
    const pieces = sectionAlong(a, { from: { x: 60, y: 240 }, to: { x: 100, y: 240 } }, null);
    expect(of(pieces, 'hole').map((p) => [p.id, p.from, p.to, p.bottom].map((v) => (typeof v === 'number' ? Number(v.toFixed(6)) : v)))).toEqual([
      ['volume', 0, 5, 44],
      ['blind', 25, 35, 12],
    ]);
    expect(of(pieces, 'body')).toEqual([jasmine.objectContaining({ from: 0, to: 40 })]);
    expect(sectionAlong({ ...a, body: { ...a.body, thickness: null } }, across, null)).toEqual([]);
    expect(sectionAlong(a, { from: { x: 3, y: 3 }, to: { x: 3, y: 3 } }, null)).toEqual([]);
  });

  it('shows how far the part can still go down', () => {
    const pickup = { ...part.pickup, sizes: { travelDown: dim(2.5) } };
    expect(of(sectionAlong(plainAnatomy(), across, { ...part, pickup }), 'travel').find((p) => p.id === 'base')).toEqual(
      jasmine.objectContaining({ top: 15, bottom: 17.5 }),
    );
  });

  it('is the same wherever the instrument lies, however it is turned: within 0.005 mm on 20 seeded places', () => {
    const r = seeded(21);
    const numbers = (pieces: readonly SectionPiece[]): readonly number[] => pieces.flatMap((p) => [p.from, p.to, p.top, p.bottom]);
    for (let i = 0; i < 20; i++) {
      const at = { x: 200 * r() - 100, y: 200 * r() - 100, turn: 360 * r() };
      const there = { from: placePoint(across.from, at), to: placePoint(across.to, at) };
      const a = plainAnatomy();
      const moved = {
        ...laid(a, at),
        cavities: a.cavities.map((c) => ({
          ...c,
          levels: c.levels.map((p) => ({ ...p, outline: { ...p.outline, outline: placeOutline(p.outline.outline, at) } })),
        })),
        plates: [],
      };
      const found = numbers(sectionAlong({ ...moved, frames: [] }, there, null));
      const flat = numbers(sectionAlong({ ...a, plates: [] }, across, null));
      expect([flat.length > 8, found.length]).toEqual([true, flat.length]);
      expect(Math.max(...found.map((v, k) => Math.abs(v - (flat[k] ?? Infinity)))))
        .withContext(String(i))
        .toBeLessThan(0.005);
    }
  });
});

describe('the dimension lines of a section', () => {
  const mm = (kind: string, pieces: readonly SectionPiece[]): readonly number[] =>
    sectionDimensions(pieces)
      .filter((d) => d.kind === kind)
      .map((d) => Number(d.mm.toFixed(6)));

  it('tell thickness, depth, the thinnest floor and what the plate hides', () => {
    const pieces = sectionAlong(plainState().anatomy, across, null);
    expect([mm('thickness', pieces), mm('depth', pieces), mm('floor', pieces), mm('hidden', pieces)]).toEqual([[44], [18], [12], [15, 15]]);
    expect(sectionDimensions([])).toEqual([]);
  });

  it('tell the wall to the neighbour along the strings, and the floor to the back where nothing is behind', () => {
    const pieces = sectionAlong(plainAnatomy(), { from: { x: 30, y: -40 }, to: { x: 30, y: 400 } }, null);
    // pocket to 70, route from 95
    expect(mm('wall', sectionAlong(plainAnatomy(), { from: { x: 20, y: -40 }, to: { x: 20, y: 400 } }, null))).toEqual([25]);
    expect(mm('floor', pieces)).toEqual([26]);
  });

  it('speak of what is planned where something is', () => {
    const piece = (id: string, set: string, from: number, to: number, bottom: number): SectionPiece => ({
      kind: 'cavity',
      id,
      set,
      face: 'top',
      from,
      to,
      top: 0,
      bottom,
    });
    const body: SectionPiece = { ...piece('body', '', 0, 100, 44), kind: 'body', set: null };
    expect(mm('depth', [body, piece('a', 'found', 20, 60, 30), piece('b', 'planned', 10, 70, 18), piece('c', 'planned', 5, 15, 22)])).toEqual([22, 18]);
    // a well in the middle of an ear: its depth and the ear’s are told apart
    const near = sectionDimensions([body, piece('ear', 'planned', 15, 55, 22), piece('well', 'planned', 32, 38, 25)]).filter((d) => d.kind === 'depth');
    expect(near.map((d) => [d.mm, d.from.along])).toEqual([
      [25, 35],
      [22, 25],
    ]);
  });
});

describe('a carved top', () => {
  const carved = (kind: 'carved' | 'bevelled'): Anatomy => ({ ...plainAnatomy(), body: { ...plainAnatomy().body, carve: { kind, height: dim(12) } } });

  it('rises from its edge to its height, and not at all where it is flat or unknown', () => {
    for (const kind of ['carved', 'bevelled'] as const) {
      const z = surfaceAlong(carved(kind), across)!;
      expect(z[0]!.z).toBeCloseTo(0, 6);
      expect(Math.min(...z.map((p) => p.z))).toBeCloseTo(-12, 6);
      expect(z.at(-1)!.along).toBeCloseTo(320, 6);
    }
    expect(surfaceAlong(plainAnatomy(), across)).toBeNull();
  });
});

describe('a line through an outline', () => {
  it('that only touches a corner is not inside behind it', () => {
    const arrow = {
      vertices: [
        [0, 0],
        [20, 10],
        [0, 20],
        [6, 10],
      ].map(([x, y]) => ({ x: x!, y: y!, bulge: 0 })),
    };
    expect(crossings(arrow, 10)).toEqual([{ from: 6, to: 20 }]);
    // through the foot of a notch that just reaches the line
    const notched = {
      vertices: [
        [0, 0],
        [10, 10],
        [20, 0],
        [20, 20],
        [0, 20],
      ].map(([x, y]) => ({ x: x!, y: y!, bulge: 0 })),
    };
    expect(crossings(notched, 10)).toEqual([{ from: 0, to: 20 }]);
    expect(crossings(roundedRectangle(20, 10, 2), 5)).toEqual([]);
  });

  it('has its points where they are', () => {
    expect([lengthOf({ from: { x: 1, y: 2 }, to: { x: 4, y: 6 } }), pointAlong({ from: { x: 1, y: 2 }, to: { x: 4, y: 6 } }, 2.5)]).toEqual([
      5,
      { x: 2.5, y: 4 },
    ]);
  });
});
