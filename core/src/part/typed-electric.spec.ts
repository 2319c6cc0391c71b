import { typedElectric, type ElectricUnit } from './index.js';

const value = (unit: ElectricUnit, text: string): number | string => {
  const t = typedElectric(unit, text);
  return t.kind === 'value' ? t.value : t.kind;
};

describe('a value of a circuit as it is typed', () => {
  it('is read with its prefix, a decimal comma, its unit or none', () => {
    const cases: readonly (readonly [ElectricUnit, string, number])[] = [
      ['Ω', '500k', 500_000],
      ['Ω', '0,5M', 500_000],
      ['Ω', '470', 470],
      ['F', '22', 22e-9],
      ['F', '22n', 22e-9],
      ['F', '0,022u', 0.022e-6],
      ['F', '0.022 µF', 0.022e-6],
      ['F', '680p', 680e-12],
      ['F', '680 pF', 680e-12],
      ['H', '2.8', 2.8],
      ['H', '2800mH', 2.8],
      ['V', '9', 9],
      ['V', '9 V', 9],
      ['A', '0.8', 0.8e-3],
      ['A', '800u', 800e-6],
      ['times', '2.5', 2.5],
      ['times', '2x', 2],
      ['count', '3', 3],
      ['%', '20 %', 20],
      ['%', '5', 5],
    ];
    for (const [unit, text, want] of cases) expect(value(unit, text)).withContext(`${text} of ${unit}`).toBeCloseTo(want, 18);
  });

  it('is nothing where nothing is typed, and wrong where it cannot be one', () => {
    expect(value('F', '  ')).toBe('empty');
    for (const [unit, text] of [
      ['F', '22k'],
      ['F', '22 H'],
      ['F', '-22'],
      ['F', '0'],
      ['Ω', 'OL'],
      ['Ω', '22n'],
      ['H', 'two'],
      ['times', '2m'],
      ['count', '2.5'],
      ['V', '1e3'],
      ['%', '5m'],
      ['V', '5%'],
      ['V', '9 V 9'],
    ] as const)
      expect(value(unit, text)).withContext(`${text} of ${unit}`).toBe('wrong');
  });
});
