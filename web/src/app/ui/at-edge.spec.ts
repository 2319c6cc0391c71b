import { atEdge, seenWhole } from './at-edge';

const window = { x: 0, y: 0, width: 100, height: 50 };

describe('what lies outside of what is seen', () => {
  it('is told of at the nearest place of the edge, with the way to it', () => {
    expect(atEdge({ x: 150, y: 25 }, window, 5)).toEqual({ x: 95, y: 25, way: 0 });
    expect(atEdge({ x: 50, y: -30 }, window, 5)).toEqual({ x: 50, y: 5, way: -90 });
    const corner = atEdge({ x: -15, y: 65 }, window, 5)!;
    expect([corner.x, corner.y]).toEqual([5, 45]);
    expect(corner.way).toBeCloseTo(135, 9);
  });

  it('is nowhere while it is seen, on the edge too', () => {
    expect(atEdge({ x: 100, y: 50 }, window, 5)).toBeNull();
    expect(atEdge({ x: 40, y: 20 }, window, 5)).toBeNull();
  });

  it('is outside of the sheet, not of the frame that lies in its middle', () => {
    // a square sheet shows 25 mm more above and below of a frame twice as wide as high
    const seen = seenWhole(window, 1);
    expect(seen).toEqual({ x: 0, y: -25, width: 100, height: 100 });
    expect(atEdge({ x: 50, y: 70 }, seen, 5)).toBeNull();
    expect(seenWhole(window, 4)).toEqual({ x: -50, y: 0, width: 200, height: 50 });
    expect(seenWhole(window, NaN)).toEqual(window);
  });
});
