import { circle, filletedPolygon, pathData, roundedRectangle, viewBoxOf } from './index.js';

describe('pathData', () => {
  it('writes lines and arcs in mm, the sweep by its sense', () => {
    expect(pathData(roundedRectangle(10, 6, 1))).toBe('M-4 -3L4 -3A1 1 0 0 1 5 -2L5 2A1 1 0 0 1 4 3L-4 3A1 1 0 0 1 -5 2L-5 -2A1 1 0 0 1 -4 -3Z');
  });

  it('turns an inside corner the other way round', () => {
    const l = filletedPolygon(
      [
        { x: 0, y: 0 },
        { x: 10, y: 0 },
        { x: 10, y: 10 },
        { x: 5, y: 10 },
        { x: 5, y: 5 },
        { x: 0, y: 5 },
      ],
      1,
    );
    expect(pathData(l).match(/A1 1 0 0 0 /g)?.length).toBe(1);
    expect(pathData(l).match(/A1 1 0 0 1 /g)?.length).toBe(5);
  });

  it('closes a circle from two halves, and frames with a margin', () => {
    expect(pathData(circle(6))).toBe('M-3 0A3 3 0 0 1 3 0A3 3 0 0 1 -3 0Z');
    expect(viewBoxOf([circle(6)], 2)).toBe('-5 -5 10 10');
  });
});
