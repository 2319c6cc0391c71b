import { circle, filletedPolygon, roundedRectangle, stadium } from './build.js';
import { selfCrossing } from './self-crossing.js';
import type { Outline } from './outline.js';

const corners = (...points: readonly (readonly [number, number, number?])[]): Outline => ({ vertices: points.map(([x, y, bulge = 0]) => ({ x, y, bulge })) });

describe('an outline that crosses itself', () => {
  it('is stated by where it does', () => {
    expect(selfCrossing(corners([0, 0], [10, 10], [10, 0], [0, 10]))).toEqual({ x: 5, y: 5 });
  });

  it('is found where an arc bulges through a far side', () => {
    // a half circle of radius 5 over the side at x = 10, inwards: it reaches x = 5, beyond the side at x = 6
    expect(selfCrossing(corners([6, 0], [10, 0, -1], [10, 10], [6, 10]))).not.toBeNull();
    expect(selfCrossing(corners([4, 0], [10, 0, -1], [10, 10], [4, 10]))).toBeNull();
  });

  it('is none of the shapes that are made here', () => {
    const shapes = [
      circle(10),
      stadium(20, 4),
      roundedRectangle(30, 20, 3),
      roundedRectangle(30, 20, 0),
      filletedPolygon(
        [
          { x: 0, y: 0 },
          { x: 20, y: 0 },
          { x: 20, y: 20 },
        ],
        2,
      ),
    ];
    for (const s of shapes) expect(selfCrossing(s)).toBeNull();
  });
});
