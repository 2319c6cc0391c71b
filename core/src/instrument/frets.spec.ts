import { blankAnatomy, fretDistance, fretLine, scaleFromFrets } from './index.js';
import { dim } from '../testing/plan.js';

describe('frets', () => {
  it('lie by the twelfth-root law: half at the 12th, three quarters at the 24th (worked by hand)', () => {
    expect(fretDistance(635, 12)).toBeCloseTo(317.5, 9);
    expect(fretDistance(640, 24)).toBeCloseTo(480, 9);
    // 650 × (1 − 1/1.0594631) = 36.482
    expect(fretDistance(650, 1)).toBeCloseTo(36.482, 3);
  });

  it('give the scale length back from the first and the thirteenth: (d13 − d1) / 0.47194', () => {
    expect(scaleFromFrets(fretDistance(647.7, 1), fretDistance(647.7, 13))).toBeCloseTo(647.7, 9);
    expect(1 / scaleFromFrets(0, 1)).toBeCloseTo(0.47194, 5);
  });

  it('slant on a fanned board, but for the square one', () => {
    const neck = { ...blankAnatomy().neck, scale: dim(648), scaleBass: dim(686), nutWidth: dim(48), endWidth: dim(66), squareFret: 7, frets: 24 };
    const [low7, high7] = fretLine(neck, 7)!;
    expect(low7.y).toBeCloseTo(high7.y, 9);
    const [low0, high0] = fretLine(neck, 0)!;
    // the longer string reaches further back at the nut: (686 − 648)(1 − 2^(−7/12)) = 12.64
    expect(high0.y - low0.y).toBeCloseTo(38 * (1 - Math.pow(2, -7 / 12)), 9);
    // half of 48 + 18 × (−12.64 / 486), by hand
    expect(low0.x).toBeCloseTo(-23.766, 3);
    expect(high0.x).toBe(24);
    expect(fretLine({ ...neck, nutWidth: null }, 3)).toBeNull();
  });
});
