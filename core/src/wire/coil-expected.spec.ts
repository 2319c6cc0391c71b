import { typicalPickup } from '../part/index.js';
import { OPEN } from '../quantity/index.js';
import { coilsExpected, coilSays, coilsOfPart } from './index.js';

describe('what the meter says of one coil of a new pickup', () => {
  const of = { expected: 4000, limit: 479 };
  const says = (value: number) => coilSays(of, { value, limit: 40 });

  it('open, shorted, below, above or as expected: each side of each threshold', () => {
    expect([says(OPEN), says(5), says(5.1), says(3480), says(3481), says(4519), says(4520)]).toEqual([
      'open',
      'shorted',
      'low',
      'low',
      'agrees',
      'agrees',
      'high',
    ]);
    expect(coilSays({ expected: null, limit: 0 }, { value: 4000, limit: 40 })).toBeNull();
  });

  it('is held against what its kind usually has where nobody knows more', () => {
    const [first, second] = coilsExpected(typicalPickup('humbucker', 'p', 'P'));
    expect([first?.expected, second?.expected]).toEqual([4000, 4000]);
    expect(first?.limit).toBeGreaterThan(500);
    expect(coilsOfPart({}, 'none')).toEqual([]);
  });
});
