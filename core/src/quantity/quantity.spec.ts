import { canBe, CATALOGUE, isOpenCircuit, OPEN, QUANTITIES, quantityOf, targetKey, usualLimit } from './index.js';

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

  it('lets an answer be a whole number alone, and what a meter reads be open', () => {
    expect([0, 0.3, 20e6, OPEN].map((v) => canBe(CATALOGUE.groundResistance, v))).toEqual([true, true, true, true]);
    expect([-0.1, 20.1e6, OPEN - 1, Infinity, NaN].map((v) => canBe(CATALOGUE.groundResistance, v))).toEqual([false, false, false, false, false]);
    expect([OPEN, 10, 10.01, -5, -5.01].map((v) => canBe(CATALOGUE.relief, v))).toEqual([false, true, false, true, false]);
    expect([0, 3, 1.5, 4].map((v) => canBe(CATALOGUE.fretEnds, v))).toEqual([true, true, false, false]);
    expect(canBe(quantityOf({ quantity: 'bodyThickness', feature: 'body' }), 44)).toBeTrue();
    expect([usualLimit('resistance', 8000), usualLimit('resistance', OPEN)]).toEqual([110, 30]);
    expect([isOpenCircuit(20e6), isOpenCircuit(OPEN)]).toEqual([false, true]);
  });

  it('names itself', () => {
    for (const [key, q] of Object.entries(CATALOGUE)) expect(q.id as string).toBe(key);
  });
});
