import type { Verdict } from '@rinnovo/core/check';
import { headline, marksOf } from './marks';

const verdict = (id: string, kind: Verdict['class'], x: number, y: number): Verdict => ({
  id,
  check: 'floor',
  choice: 'pickup',
  subject: { feature: 'route', item: 'planned/18' },
  unit: 'mm',
  about: [],
  at: { x, y },
  working: null,
  missing: [],
  typical: false,
  clearance: -1,
  worst: 0.1,
  rss: 0.1,
  minimum: 5,
  class: kind,
});

describe('marks', () => {
  it('stand for what asks for attention, and for the open one', () => {
    const all = [verdict('a', 'clashes', 0, 0), verdict('b', 'well', 50, 50), verdict('c', 'thin', 90, 0)];
    expect(marksOf(all, null, {}).map((m) => m.id)).toEqual(['c', 'a']);
    expect(marksOf(all, 'b', {}).map((m) => m.id)).toEqual(['c', 'a', 'b']);
  });

  it('know the worst of them: worst class first, then least clearance; nothing that clears well', () => {
    const deep = { ...verdict('deep', 'clashes', 0, 40), clearance: -3 };
    const all = [verdict('a', 'thin', 0, 0), verdict('b', 'clashes', 50, 50), deep, verdict('c', 'well', 90, 0)];
    expect(marksOf(all, 'c', {}).flatMap((m) => (m.worst ? [m.id] : []))).toEqual(['deep']);
    expect(marksOf([verdict('c', 'well', 90, 0)], 'c', {}).some((m) => m.worst)).toBe(false);
  });

  it('keep their numbers apart', () => {
    const near = marksOf([verdict('a', 'clashes', 0, 0), verdict('b', 'clashes', 1, 1)], null, {});
    expect(near.map((m) => m.text)).toEqual(['', '−1.00']);
  });

  it('are counted in a headline', () => {
    expect(headline([])).toBe('All checks clear');
    expect(headline([verdict('a', 'clashes', 0, 0), verdict('b', 'thin', 0, 0), verdict('c', 'thin', 0, 0)])).toBe('1 clash · 2 thin');
  });
});
