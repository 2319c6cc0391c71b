import { seeded } from '../testing/random.js';
import {
  area,
  bounds,
  circle,
  containsPoint,
  crossings,
  filletedPolygon,
  gapApart,
  gapInside,
  mirrorOutline,
  perimeter,
  placeOutline,
  pointAt,
  pointToSegment,
  regionBoundary,
  regionsOverlap,
  roundedRectangle,
  segmentsOf,
  smallestInsideRadius,
  unreachableArea,
  length,
  flatten,
} from './index.js';

const at = (x: number, y: number): { x: number; y: number } => ({ x, y });

describe('outline measures', () => {
  it('give a rounded rectangle wh − (4 − π)r² and 2(w + h) − (8 − 2π)r', () => {
    const o = roundedRectangle(88, 22, 4.7625);
    expect(area(o)).toBeCloseTo(88 * 22 - (4 - Math.PI) * 4.7625 ** 2, 9);
    expect(perimeter(o)).toBeCloseTo(2 * (88 + 22) - (8 - 2 * Math.PI) * 4.7625, 9);
  });

  it('give a circle πd²/4 and its box', () => {
    expect(area(circle(6, at(2, 3)))).toBeCloseTo(9 * Math.PI, 9);
    const b = bounds([circle(6, at(2, 3))]);
    expect([b.minX, b.minY, b.maxX, b.maxY].map((v) => Math.round(v * 1e9) / 1e9)).toEqual([-1, 0, 5, 6]);
  });

  it('round the corners of a polygon by tangent arcs: a square of 10 with r 2 is a rounded rectangle', () => {
    const o = filletedPolygon([at(0, 0), at(10, 0), at(10, 10), at(0, 10)], 2);
    expect(area(o)).toBeCloseTo(100 - (4 - Math.PI) * 4, 9);
    expect(smallestInsideRadius(o)).toBeCloseTo(2, 9);
  });

  it('bulge inwards at an inside corner: an L of 10 with r 1 gains there what it loses at a corner', () => {
    const o = filletedPolygon([at(0, 0), at(10, 0), at(10, 10), at(5, 10), at(5, 5), at(0, 5)], 1);
    // five outer corners lose (1 − π/4)r², the inner one gains it
    expect(area(o)).toBeCloseTo(75 - 4 * (1 - Math.PI / 4), 9);
  });

  it('refuse a polygon whose edge is too short for its corners', () => {
    expect(() => filletedPolygon([at(0, 0), at(3, 0), at(3, 10)], 2)).toThrowError(RangeError);
    expect(() => filletedPolygon([at(0, 0), at(3, 0)], 0)).toThrowError(RangeError);
  });

  it('find 0 as the smallest inside radius of a sharp corner', () => {
    expect(smallestInsideRadius(roundedRectangle(10, 10, 0))).toBe(0);
  });
});

describe('containsPoint', () => {
  it('agrees with the distance to the centre on seeded points of a circle, on its own diameter too', () => {
    const r = seeded(7);
    const o = circle(20, at(3, -2));
    for (let i = 0; i < 500; i++) {
      const p = at(3 + (r() - 0.5) * 30, i % 5 === 0 ? -2 : -2 + (r() - 0.5) * 30);
      const d = Math.hypot(p.x - 3, p.y + 2);
      if (Math.abs(d - 10) > 1e-6)
        expect(containsPoint(o, p))
          .withContext(`${p.x} ${p.y}`)
          .toBe(d < 10);
    }
  });

  it('does not depend on which way round an outline runs', () => {
    const o = roundedRectangle(30, 20, 6);
    const m = mirrorOutline(o);
    const r = seeded(11);
    for (let i = 0; i < 300; i++) {
      const p = at((r() - 0.5) * 40, (r() - 0.5) * 30);
      expect(containsPoint(m, p)).toBe(containsPoint(o, at(-p.x, p.y)));
    }
  });
});

describe('gaps', () => {
  it('inside: 1.0 for 10 × 10 in 14 × 12, and −1.5 when it stands out by that', () => {
    expect(gapInside([roundedRectangle(10, 10, 0)], [roundedRectangle(14, 12, 0)]).clearance).toBeCloseTo(1, 9);
    expect(gapInside([roundedRectangle(10, 10, 1, at(3.5, 0))], [roundedRectangle(14, 12, 0)]).clearance).toBeCloseTo(-1.5, 4);
  });

  it('inside, at a corner: base 69.5 × 38.3 r 3 in 71.5 × 40.5 r 4.7625 by hand', () => {
    // centres of the corner arcs differ by (0.7625, 0.6625): 4.7625 − 3 − 1.01010 = 0.75240 mm
    const g = gapInside([roundedRectangle(69.5, 38.3, 3)], [roundedRectangle(71.5, 40.5, 4.7625)]);
    expect(g.clearance).toBeCloseTo(4.7625 - 3 - Math.hypot(0.7625, 0.6625), 9);
  });

  it('apart: 4 between two circles, −2 when they overlap by 2, and how deep a small one lies inside a large one', () => {
    expect(gapApart([circle(10)], [circle(10, at(14, 0))]).clearance).toBeCloseTo(4, 9);
    expect(gapApart([circle(10)], [circle(10, at(8, 0))]).clearance).toBeCloseTo(-2, 3);
    expect(gapApart([circle(4)], [circle(20)]).clearance).toBeLessThan(-7.9);
    expect(gapApart([circle(20)], [circle(4)]).clearance).toBeLessThan(-7.9);
  });

  it('do not change under rotation and translation (0.005 mm)', () => {
    const r = seeded(3);
    for (let i = 0; i < 40; i++) {
      const a = roundedRectangle(10 + 20 * r(), 10 + 20 * r(), 4 * r());
      const b = placeOutline(roundedRectangle(5 + 20 * r(), 5 + 20 * r(), 2 * r()), { x: 35 + 20 * r(), y: 20 * r(), turn: 90 * r() });
      const move = { x: 100 * r(), y: -50 * r(), turn: 360 * r() };
      const before = gapApart([a], [b]).clearance;
      const after = gapApart([placeOutline(a, move)], [placeOutline(b, move)]).clearance;
      expect(Math.abs(before - after)).toBeLessThan(0.005);
    }
  });

  it('agree with dense sampling of both edges (0.005 mm)', () => {
    const r = seeded(5);
    for (let i = 0; i < 20; i++) {
      const a = roundedRectangle(10 + 10 * r(), 10 + 10 * r(), 3 * r());
      const b = placeOutline(circle(6 + 8 * r()), { x: 25 + 10 * r(), y: 10 * r(), turn: 0 });
      const pa = dense(a);
      const pb = dense(b);
      let least = Infinity;
      for (const p of pa) for (const q of pb) least = Math.min(least, Math.hypot(p.x - q.x, p.y - q.y));
      expect(Math.abs(gapApart([a], [b]).clearance - least)).toBeLessThan(0.005);
    }
  });

  it('tell overlap from touching', () => {
    expect(regionsOverlap([roundedRectangle(10, 10, 0)], [roundedRectangle(10, 10, 0, at(10, 0))])).toBeFalse();
    expect(regionsOverlap([roundedRectangle(10, 10, 0)], [roundedRectangle(10, 10, 0, at(9.9, 0))])).toBeTrue();
  });
});

function dense(o: ReturnType<typeof circle>): { x: number; y: number }[] {
  return segmentsOf(o).flatMap((s) => {
    const n = Math.ceil(length(s) / 0.05);
    return Array.from({ length: n }, (_, i) => pointAt(s, i / n));
  });
}

describe('regionBoundary', () => {
  it('drops what lies inside: a circle wholly in a rectangle leaves the rectangle', () => {
    const edge = regionBoundary([roundedRectangle(20, 20, 2), circle(6)]);
    expect(edge.reduce((s, x) => s + length(x), 0)).toBeCloseTo(2 * 40 - (8 - 2 * Math.PI) * 2, 6);
  });

  it('of outlines placed together is that of the same outlines drawn there, beside a fixed one too', () => {
    const r = seeded(31);
    const local = [roundedRectangle(40, 20, 4), roundedRectangle(16, 10, 4, at(22, 0)), circle(6, at(24, 0))];
    const fixed = roundedRectangle(50, 12, 3);
    const total = (region: readonly ReturnType<typeof circle>[]): number => regionBoundary(region).reduce((s, x) => s + length(x), 0);
    for (let i = 0; i < 25; i++) {
      const place = { x: 8 * (r() - 0.5), y: 8 * (r() - 0.5), turn: 40 * (r() - 0.5) };
      const placed = local.map((o) => placeOutline(o, place));
      const drawn = placed.map((o) => ({ vertices: o.vertices.map((v) => ({ ...v })) }));
      expect(total(placed)).toBeCloseTo(total(drawn), 6);
      expect(total([fixed, ...placed])).toBeCloseTo(total([fixed, ...drawn]), 6);
      for (const s of regionBoundary([fixed, ...placed])) {
        // no piece of the joined edge runs inside another outline
        const middle = pointAt(s, 0.5);
        const inside = [fixed, ...placed].filter((o) => containsPoint(o, middle) && segmentsOf(o).every((t) => pointToSegment(middle, t).distance > 1e-6));
        expect(inside.length).toBe(0);
      }
    }
  });

  it('keeps one of two edges that lie on one another', () => {
    // two 10 × 10 squares side by side, sharing y = ±5 lines and overlapping by 4: one 16 × 10 rectangle
    const edge = regionBoundary([roundedRectangle(10, 10, 0), roundedRectangle(10, 10, 0, at(6, 0))]);
    expect(edge.reduce((s, x) => s + length(x), 0)).toBeCloseTo(2 * (16 + 10), 6);
  });
});

describe('unreachableArea', () => {
  it('leaves r²(1 − π/4) in each square corner', () => {
    const r = 4.7625;
    expect(unreachableArea([roundedRectangle(60, 40, 0)], r)).toBeCloseTo(4 * r * r * (1 - Math.PI / 4), 1);
  });

  it('leaves nothing where the corner has the cutter’s radius, and all where the cutter does not go in', () => {
    expect(unreachableArea([roundedRectangle(60, 40, 4.7625)], 4.7625)).toBe(0);
    expect(unreachableArea([roundedRectangle(8, 8, 0)], 4.7625)).toBeCloseTo(64, 3);
  });
});

describe('crossings', () => {
  it('cut a circle of 10 at y = 3 from −4 to 4', () => {
    const [i] = crossings(circle(10), 3);
    expect(i?.from).toBeCloseTo(-4, 9);
    expect(i?.to).toBeCloseTo(4, 9);
    expect(crossings(circle(10), 6)).toEqual([]);
  });
});

describe('flatten', () => {
  it('keeps every chord within the tolerance of its arc', () => {
    const points = flatten(circle(20), 0.01);
    points.forEach((p, i) => {
      const q = points[(i + 1) % points.length] ?? p;
      expect(10 - Math.hypot((p.x + q.x) / 2, (p.y + q.y) / 2)).toBeLessThan(0.0101);
    });
  });
});
