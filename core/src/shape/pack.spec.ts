// Circles in a circle. Equal ones against the published ratios of the best packings known (R. L. Graham, B. D. Lubachevsky and others, Dense packings of congruent
// circles in a circle, Discrete Mathematics 181, 1998; values from memory); any others by their own places, which are checked here.
import { seeded } from '../testing/random.js';
import { pack } from './index.js';

/** Diameter of the outer circle for n of diameter 1. */
const RATIO: Readonly<Record<number, number>> = { 2: 2, 3: 2.1547, 4: 2.4142, 5: 2.7013, 6: 3, 7: 3, 8: 3.3048, 9: 3.6131, 10: 3.813, 11: 3.9238, 12: 4.0296 };

describe('circles packed in a circle', () => {
  it('equal ones lie as close as is known to be possible, within 2 %', () => {
    for (const [n, ratio] of Object.entries(RATIO)) {
      const { found, least } = pack(Array.from({ length: Number(n) }, () => 1));
      expect(found)
        .withContext(n)
        .toBeGreaterThan(ratio - 1e-4);
      expect(found)
        .withContext(n)
        .toBeLessThan(1.02 * ratio);
      expect(least)
        .withContext(n)
        .toBeLessThan(ratio + 1e-4);
    }
  });

  it('is what it says: 300 seeded sets of 1 to 12 lie in it, none on another, and nothing less than the two widest or √Σd² is claimed', () => {
    const r = seeded(184);
    let tight = 0;
    for (let i = 0; i < 300; i++) {
      const d = Array.from({ length: 1 + Math.floor(12 * r()) }, () => 0.5 + 4 * r() * r());
      const { found, least, places } = pack(d);
      expect(places.length).toBe(d.length);
      d.forEach((di, a) => {
        expect(2 * Math.hypot(places[a]!.x, places[a]!.y) + di)
          .withContext(`${i}`)
          .toBeLessThan(found + 1e-9);
        d.forEach((dj, b) => {
          if (b > a)
            expect(Math.hypot(places[a]!.x - places[b]!.x, places[a]!.y - places[b]!.y))
              .withContext(`${i}`)
              .toBeGreaterThan((di + dj) / 2 - 1e-9);
        });
      });
      const [first, second = 0] = [...d].sort((x, y) => y - x);
      expect(least).toBeCloseTo(Math.max(first! + second, Math.hypot(...d)), 9);
      expect(least).toBeLessThanOrEqual(found);
      expect(found).toBeGreaterThanOrEqual(least - 1e-12);
      if (found < 1.15 * least) tight++;
    }
    expect(tight).toBeGreaterThan(200);
  });

  it('one alone is itself, two lie side by side; nothing and less than nothing are no circles', () => {
    expect(pack([3]).found).toBe(3);
    expect(pack([2, 3]).found).toBeCloseTo(5, 3);
    for (const d of [0, -1, NaN]) expect(() => pack([1, d])).toThrowError(RangeError);
  });
});
