import { fingers, zoomed } from './pinch';

const frame = { x: 0, y: 0, width: 100, height: 50 };

describe('a window on the drawing', () => {
  it('keeps what lies under the fingers there, nearer and further', () => {
    // twice as near about (20, 10): 20 − 20 / 2
    expect(zoomed(frame, 0.5, { x: 20, y: 10 })).toEqual({ x: 10, y: 5, width: 50, height: 25 });
    // what lay at 20 is wanted where 60 was, same size: the window goes 40 to the left
    expect(zoomed(frame, 1, { x: 20, y: 10 }, { x: 60, y: 10 })).toEqual({ x: -40, y: 0, width: 100, height: 50 });
  });

  it('has a nearest and a furthest', () => {
    expect(zoomed(frame, 1e-9, { x: 0, y: 0 }).width).toBe(8);
    expect(zoomed(frame, 1e9, { x: 0, y: 0 })).toEqual({ x: 0, y: 0, width: 2000, height: 1000 });
    expect(fingers({ x: 0, y: 0 }, { x: 0, y: 0 }).apart).toBe(1);
  });
});
