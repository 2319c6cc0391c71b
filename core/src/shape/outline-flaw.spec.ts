import { circle, roundedRectangle, stadium } from './build.js';
import { outlineFlaw } from './outline-flaw.js';
import type { Outline } from './outline.js';

const corners = (...points: readonly (readonly [number, number, number?])[]): Outline => ({ vertices: points.map(([x, y, bulge = 0]) => ({ x, y, bulge })) });

describe('an outline', () => {
  it('has three corners or an arc, an area, and does not cross itself', () => {
    expect(outlineFlaw(corners([0, 0], [10, 0]))).toBe('tooFewCorners');
    expect(outlineFlaw(corners([0, 0], [10, 0], [10, 0]))).toBe('tooFewCorners');
    expect(outlineFlaw(corners([0, 0], [10, 0], [20, 0]))).toBe('noArea');
    // a figure of eight of two like halves has no area by its corners, and crosses itself all the same
    expect(outlineFlaw(corners([0, 0], [10, 10], [10, 0], [0, 10]))).toBe('crossesItself');
    expect(outlineFlaw(corners([0, 0], [30, 0], [30, 20], [15, -5], [0, 20]))).toBe('crossesItself');
  });

  it('can be what is drawn here, with a corner named twice, too', () => {
    for (const o of [circle(10), stadium(20, 4), stadium(20, 20), roundedRectangle(30, 20, 10), corners([0, 0, 1], [10, 0, 0])])
      expect(outlineFlaw(o)).withContext(JSON.stringify(o)).toBeNull();
    expect(outlineFlaw(corners([0, 0], [10, 0], [10, 0], [10, 10], [0, 10], [0, 0]))).toBeNull();
  });
});
