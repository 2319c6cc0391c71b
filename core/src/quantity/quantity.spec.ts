import { QUANTITIES, targetKey } from './catalogue.js';

describe('the catalogue of quantities', () => {
  it('has a range that lets plausible values through and stops impossible ones', () => {
    // plausible: from docs of common instruments; impossible: no guitar or bass is so
    const plausible: readonly (readonly [keyof typeof QUANTITIES, number])[] = [
      ['bodyThickness', 44],
      ['levelDepth', 16],
      ['scaleLength', 864],
      ['spreadAtNut', 35.5],
      ['plateThickness', 2],
    ];
    for (const [id, mm] of plausible) {
      expect(mm).withContext(id).toBeGreaterThan(QUANTITIES[id].min);
      expect(mm).withContext(id).toBeLessThan(QUANTITIES[id].max);
    }
    expect(QUANTITIES.scaleLength.max).toBeLessThan(25.4 * 60);
    expect(QUANTITIES.levelDepth.max).toBeLessThan(QUANTITIES.bodyThickness.max);
  });

  it('keys targets by quantity, feature and part, and by nothing else', () => {
    expect(targetKey({ quantity: 'levelDepth', feature: 'a', part: 'b' })).toBe('levelDepth|a|b');
    expect(targetKey({ quantity: 'levelDepth', feature: 'a' })).not.toBe(targetKey({ quantity: 'levelDepth', feature: 'a', part: 'b' }));
    expect(targetKey({ part: 'b', feature: 'a', quantity: 'levelDepth' })).toBe(targetKey({ quantity: 'levelDepth', feature: 'a', part: 'b' }));
  });

  it('names itself', () => {
    for (const [key, q] of Object.entries(QUANTITIES)) expect(q.id as string).toBe(key);
  });
});
