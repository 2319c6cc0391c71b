import { likelyUnit } from './index.js';

describe('the unit that was meant', () => {
  it('tells an inch figure in a millimetre field from a millimetre figure in an inch field', () => {
    const thickness = { min: 5, max: 150 };
    expect(likelyUnit(1.75, thickness)).toBe('inch');
    expect(likelyUnit(44 * 25.4, thickness)).toBe('mm');
    expect(likelyUnit(44, thickness)).toBeNull();
    expect(likelyUnit(0.001, thickness)).toBeNull();
  });
});
