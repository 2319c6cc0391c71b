import { seeded } from '../testing/random.js';
import {
  area,
  bounds,
  circle,
  differenceArea,
  fitArcs,
  flatten,
  grown,
  opened,
  placeOutline,
  roundedRectangle,
  segmentsOf,
  smallestInsideRadius,
  stadium,
  type Outline,
} from './index.js';

const radii = (o: Outline): readonly number[] => segmentsOf(o).flatMap((s) => (s.kind === 'arc' ? [Number(s.radius.toFixed(3))] : []));
const off = (a: Outline, b: Outline): number => differenceArea([a], [b]) + differenceArea([b], [a]);

describe('a ring of straight pieces', () => {
  it('comes back as the lines and arcs that it was, whatever it was and however it lay', () => {
    const r = seeded(11);
    for (let i = 0; i < 40; i++) {
      const [w, h] = [20 + 80 * r(), 12 + 30 * r()];
      const shapes = [roundedRectangle(w, h, 1 + 4 * r()), stadium(w, h), circle(6 + 20 * r())];
      const shape = placeOutline(shapes[i % 3]!, { x: 40 * r(), y: 40 * r(), turn: 360 * r() });
      const back = fitArcs(flatten(shape));
      expect(off(back, shape))
        .withContext(String(i))
        .toBeLessThan(0.002 * 2 * (w + h));
      expect(segmentsOf(back).length)
        .withContext(String(i))
        .toBeLessThanOrEqual(segmentsOf(shape).length + 3);
    }
  });

  it('keeps corners corners: an octagon is no circle', () => {
    const octagon = Array.from({ length: 8 }, (_, i) => ({ x: 20 * Math.cos((i * Math.PI) / 4), y: 20 * Math.sin((i * Math.PI) / 4) }));
    expect(radii(fitArcs(octagon))).toEqual([]);
    expect(fitArcs(octagon).vertices.length).toBe(8);
  });
});

describe('outlines that come of others', () => {
  it('grow by a clearance: 60 × 20 by 1 is 62 × 22 with corners of 1; area by hand', () => {
    const { outlines, islands } = grown([roundedRectangle(60, 20, 0)], 1);
    const [o] = outlines;
    const b = bounds(outlines);
    expect(Object.keys(o!.vertices[0]!).sort()).toEqual(['bulge', 'x', 'y']);
    expect([outlines.length, islands, Number((b.maxX - b.minX).toFixed(3)), Number((b.maxY - b.minY).toFixed(3))]).toEqual([1, 0, 62, 22]);
    expect(new Set(radii(o!))).toEqual(new Set([1]));
    // wh − (4 − π)r²
    expect(Math.abs(area(o!) - (62 * 22 - (4 - Math.PI)))).toBeLessThan(0.02);
  });

  it('join: two that overlap are one, with the edge of both; a frame leaves an island standing', () => {
    const two = grown([roundedRectangle(60, 20, 3), roundedRectangle(20, 40, 3, { x: 10, y: 10 })], 0);
    expect(two.outlines.length).toBe(1);
    const ring = grown(
      [
        [60, 8, 0, -16],
        [60, 8, 0, 16],
        [8, 40, -26, 0],
        [8, 40, 26, 0],
      ].map(([w, h, x, y]) => roundedRectangle(w!, h!, 0, { x: x!, y: y! })),
      0,
    );
    expect([ring.outlines.length, ring.islands]).toEqual([1, 1]);
  });

  it('are opened by the cutter: square corners get its radius, four times r²(1 − π/4) less; nothing is left of what it cannot enter', () => {
    const r = 4.7625;
    const o = opened([roundedRectangle(60, 30, 0)], r).outlines[0]!;
    expect(smallestInsideRadius(o)).toBeCloseTo(r, 2);
    expect(60 * 30 - area(o)).toBeCloseTo(4 * r * r * (1 - Math.PI / 4), 1);
    expect(opened([roundedRectangle(60, 9, 0)], r).outlines).toEqual([]);
  });
});
