import { likelyUnit } from './index.js';

describe('the unit that was meant', () => {
  it('tells an inch figure in a millimetre field from a millimetre figure in an inch field', () => {
    const thickness = { min: 5, max: 150 };
    expect(likelyUnit(1.75, thickness, 'mm')).toBe('in');
    expect(likelyUnit(44 * 25.4, thickness, 'inch')).toBe('mm');
    expect(likelyUnit(44, thickness, 'mm')).toBeNull();
    expect(likelyUnit(0.001, thickness, 'mm')).toBeNull();
    // 44 typed in thou is 1.1 mm: mm were meant; 1730 typed in mm were thou; 1.75 in thou were inches
    expect(likelyUnit(44 * 0.0254, thickness, 'thou')).toBe('mm');
    expect(likelyUnit(1730, thickness, 'mm')).toBe('thou');
    // 51 in a field of 1 to 50 is only too much
    expect(likelyUnit(51, { min: 1, max: 50 }, 'mm')).toBeNull();
    expect(likelyUnit(1.75 * 0.0254, thickness, 'thou')).toBe('in');
  });
});
