import { seeded } from '../testing/random.js';
import { bestPlacement } from './best-placement.js';
import { filletedPolygon, roundedRectangle } from './build.js';
import { gapInside } from './gap.js';
import { placeOutline } from './transform.js';
import type { Point } from './outline.js';
import type { Region } from './region.js';

/** The best of a fine grid over shift and turn: slow, and sure. */
function byGrid(inner: Region, outer: Region, pivots: readonly [Point, Point], play: number, steps: number): number {
  const radius = Math.hypot(pivots[0].x - pivots[1].x, pivots[0].y - pivots[1].y) / 2;
  const at = (i: number): number => -play + (2 * play * i) / steps;
  let most = -Infinity;
  for (let i = 0; i <= steps; i++)
    for (let j = 0; j <= steps; j++)
      for (let k = 0; k <= steps; k++) {
        const [x, y, t] = [at(i), at(j), at(k) / radius];
        const moved = pivots.every(
          (p) => Math.hypot(x + p.x * Math.cos(t) - p.y * Math.sin(t) - p.x, y + p.x * Math.sin(t) + p.y * Math.cos(t) - p.y) <= play + 1e-9,
        );
        if (!moved) continue;
        const pose = { x, y, turn: (t * 180) / Math.PI };
        most = Math.max(
          most,
          gapInside(
            inner.map((o) => placeOutline(o, pose)),
            outer,
          ).clearance,
        );
      }
  return most;
}

describe('the best placement', () => {
  const pivots = [
    { x: -39, y: 0 },
    { x: 39, y: 0 },
  ] as const;

  it('brings a square back to the middle', () => {
    const { at, clearance } = bestPlacement([roundedRectangle(10, 10, 0)], [roundedRectangle(14, 14, 0, { x: 1, y: 0 })], [{ x: 0, y: 0 }], 2);
    expect(clearance).toBeCloseTo(2, 2);
    expect(at.x).toBeCloseTo(1, 2);
  });

  it('turns a base that lies askew in its route', () => {
    const route = [placeOutline(roundedRectangle(72, 41, 4), { x: 0, y: 0, turn: 0.5 })];
    const base = [roundedRectangle(69.5, 38.3, 3)];
    const { at, clearance } = bestPlacement(base, route, pivots, 0.6);
    expect(at.turn).toBeCloseTo(0.5, 1);
    // laid square: (72 − 69.5) / 2 = 1.25 at its ends, (41 − 38.3) / 2 = 1.35 at its sides
    expect(clearance).toBeCloseTo(1.25, 2);
    expect(gapInside(base, route).clearance).toBeLessThan(1.1);
  });

  it('goes no further than its screws let it', () => {
    const { at } = bestPlacement([roundedRectangle(20, 10, 1)], [roundedRectangle(60, 60, 1, { x: 10, y: 0 })], pivots, 0.5);
    for (const p of pivots) {
      const t = (at.turn * Math.PI) / 180;
      expect(Math.hypot(at.x + p.x * Math.cos(t) - p.y * Math.sin(t) - p.x, at.y + p.x * Math.sin(t) + p.y * Math.cos(t) - p.y)).toBeLessThanOrEqual(
        0.5 + 1e-6,
      );
    }
  });

  it('is not worse than a fine grid by more than 0.02', () => {
    const random = seeded(7);
    for (let i = 0; i < 6; i++) {
      const wobble = (): number => (random() - 0.5) * 1.6;
      const corners = [
        { x: -36 + wobble(), y: -20 + wobble() },
        { x: 36 + wobble(), y: -20 + wobble() },
        { x: 36 + wobble(), y: 20 + wobble() },
        { x: -36 + wobble(), y: 20 + wobble() },
      ];
      const route = [filletedPolygon(corners, 4)];
      const base = [placeOutline(roundedRectangle(70, 38, 3), { x: wobble() / 2, y: wobble() / 2, turn: wobble() / 2 })];
      const { clearance } = bestPlacement(base, route, pivots, 0.5);
      expect(clearance)
        .withContext(`route ${i}`)
        .toBeGreaterThan(byGrid(base, route, pivots, 0.5, 20) - 0.02);
    }
  });

  it('finds what length and width hide: a base wider by 1 at one spot stands out there wherever it is laid', () => {
    // 70 × 38 in 71 × 39 has 0.5 all round; with a lobe of 1 mm at one end it has 72 × … no more: 0.5 − 1 + shift ≤ 0
    const route = [roundedRectangle(71, 39, 3)];
    const lobed = [roundedRectangle(70, 38, 3), roundedRectangle(4, 4, 1, { x: 34, y: 12 })];
    const box = bestPlacement([roundedRectangle(70, 38, 3)], route, pivots, 0.5);
    const { clearance } = bestPlacement(lobed, route, pivots, 0.5);
    expect(box.clearance).toBeCloseTo(0.5, 2);
    expect(clearance).toBeLessThan(0.03);
  });
});
