import { classify, judge } from './verdict.js';
import { contributions, leaf, setting, sum, valueOf, worstCase, rootSumSquare, type Working } from './working.js';
import { agree } from './dimension.js';

const of = (value: number, limit: number): ReturnType<typeof leaf> => leaf('x', { value, limit, basis: { kind: 'default' } });

describe('classify', () => {
  it('changes its mind at each threshold', () => {
    // c, u, wanted in mm; the rule is c > u clears, c < −u clashes, well when c − u ≥ wanted.
    expect(classify(1.85, 0.35, 1.5)).toBe('well');
    expect(classify(1.84, 0.35, 1.5)).toBe('thin');
    expect(classify(0.36, 0.35, 1.5)).toBe('thin');
    expect(classify(0.35, 0.35, 1.5)).toBe('tooClose');
    expect(classify(-0.35, 0.35, 1.5)).toBe('tooClose');
    expect(classify(-0.36, 0.35, 1.5)).toBe('clashes');
  });

  it('is not fooled by floating point: 1.3 − 0.3 is 1', () => {
    expect(classify(1.3, 0.3, 1)).toBe('well');
  });
});

describe('working', () => {
  it('sums limits as the worst case and root-sum-square beside it', () => {
    const w = sum('s', [1, of(41.5, 0.1)], [-1, of(18, 0.2)], [-1, of(12, 0.05)]);
    expect(valueOf(w)).toBeCloseTo(11.5, 12);
    expect(worstCase(w)).toBeCloseTo(0.35, 12);
    expect(rootSumSquare(w)).toBeCloseTo(Math.sqrt(0.01 + 0.04 + 0.0025), 12);
    expect(judge(w, 5).class).toBe('well');
  });

  it('counts a leaf that enters twice once, with both effects added', () => {
    const a = of(10, 0.1);
    // a + (b − a) × 0.25 = 0.75 a + 0.25 b: limits 0.075 and 0.05.
    const w = sum('s', [1, a], [1, { op: 'product', label: 'p', a: sum('d', [1, of(20, 0.2)], [-1, a]), b: setting('q', 0.25, 'k') }]);
    expect(contributions(w).map((c) => Number(c.limit.toFixed(6)))).toEqual([0.075, 0.05]);
  });

  it('carries limits through a quotient: (10 ± 0.1) / (4 ± 0.02) is 2.5 ± 0.0375', () => {
    const w: Working = { op: 'quotient', label: 'q', a: of(10, 0.1), b: of(4, 0.02) };
    expect(worstCase(w)).toBeCloseTo(0.1 / 4 + (10 * 0.02) / 16, 12);
  });
});

describe('agree', () => {
  it('holds up to the sum of the limits and not beyond', () => {
    expect(agree({ value: 41.5, limit: 0.05 }, { value: 41.6, limit: 0.05 })).toBeTrue();
    expect(agree({ value: 41.5, limit: 0.05 }, { value: 41.61, limit: 0.05 })).toBeFalse();
  });
});
