import { parseLength, toInchFraction, type LengthUnit } from './length.js';

describe('parseLength', () => {
  const cases: readonly [string, LengthUnit, number][] = [
    ['22.2', 'mm', 22.2],
    ['22,2', 'mm', 22.2],
    ['22.2mm', 'inch', 22.2],
    ['7/8', 'mm', 22.225],
    ['7/8"', 'fraction', 22.225],
    ['1 3/32', 'mm', 27.78125],
    ['.875in', 'mm', 22.225],
    ['2thou', 'mm', 0.0508],
    ['1 1/2 + 3/32', 'mm', 40.48125],
    ['2', 'inch', 50.8],
    ['10 - 0.5', 'mm', 9.5],
    ['-3', 'mm', -3],
    // a dash without spaces joins whole and fraction, whichever dash it is
    ['1-3/32', 'mm', 27.78125],
    ['25-1/2', 'mm', 647.7],
    ['2-1/4"', 'mm', 57.15],
    ['1–3/32', 'mm', 27.78125],
    ['1‑3/32', 'inch', 27.78125],
    ['25-1/2 + 1-1/2', 'mm', 685.8],
    ['1 3/32 - 1-1/32', 'mm', 1.5875],
    // with spaces, after a fraction or a unit, or where it is no part of an inch, it takes away
    ['1 - 3/32', 'inch', 23.01875],
    ['3/4-1/32', 'mm', 18.25625],
    ['1in-3/32', 'mm', 23.01875],
    ['1 1/2-1/4', 'mm', 31.75],
    ['10-0.5', 'mm', 9.5],
    ['2-5/4', 'inch', 19.05],
    ['1cm', 'mm', 10],
  ];
  for (const [text, unit, mm] of cases) {
    it(`reads ${text} in ${unit} as ${mm} mm`, () => {
      const r = parseLength(text, unit);
      expect(r.ok && r.mm).toBeCloseTo(mm, 9);
    });
  }

  it('reads what it shows in any locale: a decimal comma, a narrow space, a true minus', () => {
    expect(parseLength('−22,20\u202fmm', 'inch')).toEqual({ ok: true, mm: -22.2, raw: '−22,20\u202fmm', subtracts: false });
    expect(parseLength('1\u202fin', 'mm')).toEqual({ ok: true, mm: 25.4, raw: '1\u202fin', subtracts: false });
  });

  it('says of what it took away that it did', () => {
    const of = (text: string): boolean | null => {
      const r = parseLength(text, 'inch');
      return r.ok ? r.subtracts : null;
    };
    expect(['1 - 3/32', '10-0.5', '3/4-1/32', '2-5/4'].map(of)).toEqual([true, true, true, true]);
    expect(['1-3/32', '25-1/2 + 1', '-3', '1 3/32', '7/8'].map(of)).toEqual([false, false, false, false, false]);
  });

  it('says why it cannot read a length', () => {
    expect(parseLength(' ', 'mm')).toEqual({ ok: false, error: 'empty', raw: ' ' });
    expect(parseLength('1/0', 'mm')).toEqual(jasmine.objectContaining({ error: 'division by zero' }));
    for (const bad of ['abc', '1..2', '--1', '1 2', '3/', '1e5', 'NaN', '5 kg', '1 +']) {
      expect(parseLength(bad, 'mm').ok).withContext(bad).toBeFalse();
    }
    expect(parseLength('9'.repeat(61), 'mm')).toEqual(jasmine.objectContaining({ error: 'too long' }));
  });
});

describe('toInchFraction', () => {
  it('gives 27.78125 mm as 1 3/32 in exactly (25.4 mm to the inch)', () => {
    const f = toInchFraction(27.78125);
    expect(f).toEqual(jasmine.objectContaining({ negative: false, whole: 1, numerator: 3, denominator: 32 }));
    expect(f.deviation).toBeCloseTo(0, 9);
  });

  it('shows the deviation to the nearest sixty-fourth: 10 mm is 25/64 in and 0.078 mm', () => {
    const f = toInchFraction(10);
    expect([f.whole, f.numerator, f.denominator]).toEqual([0, 25, 64]);
    expect(f.deviation).toBeCloseTo(10 - (25 / 64) * 25.4, 9);
  });
});
