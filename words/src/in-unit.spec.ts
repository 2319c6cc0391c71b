import { CATALOGUE, OPEN } from '@rinnovo/core/quantity';
import { asTyped, changeText, inUnit, lengthText, limitText, stateText } from './index.js';

const NARROW = '\u202f';

describe('a number in its unit', () => {
  it('is a length in the chosen one: mm, fractions, decimal inches, thou', () => {
    expect([lengthText(22.2, 'mm'), lengthText(25.4 * 0.875, 'fraction'), lengthText(25.4 * 0.875, 'inch'), lengthText(25.4 * 0.875, 'thou')]).toEqual(
      ['22.20 mm', '7/8 in', '0.875 in', '875.0 thou'].map((t) => t.replace(/ (?=mm|in|thou)/, NARROW)),
    );
    // 0.25 mm of relief is 9.8 thou [law]
    expect(stateText('relief', 0.25, 'thou')).toBe(`9.8${NARROW}thou`);
    expect(limitText(0.03, 'thou')).toBe(`1.2${NARROW}thou`);
    expect([asTyped(22.2, 'mm'), asTyped(25.4, 'inch'), asTyped(25.4, 'fraction'), asTyped(0.254, 'thou')]).toEqual(['22.2', '1.0000in', '1.0000in', '10']);
  });

  it('is a resistance in Ω, kΩ or MΩ, or open', () => {
    const ohms = (v: number): string => inUnit(v, CATALOGUE.resistance, 'mm').replace(NARROW, ' ');
    expect([0.3, 470, 999.9, 1000, 7400, 1.5e6, 20e6, OPEN].map(ohms)).toEqual([
      '0.3 Ω',
      '470 Ω',
      '999.9 Ω',
      '1.00 kΩ',
      '7.40 kΩ',
      '1.50 MΩ',
      '20.00 MΩ',
      'open (OL)',
    ]);
    expect(stateText('shieldResistance', 20, 'mm')).toBe(`20${NARROW}Ω`);
  });

  it('is any other with as many places as its tool tells', () => {
    expect([stateText('humidity', 49, 'mm'), stateText('supply', 8.9, 'mm'), stateText('rodTurns', 0.25, 'mm'), stateText('temperature', -2.5, 'mm')]).toEqual([
      `49${NARROW}%`,
      `8.90${NARROW}V`,
      `0.25${NARROW}turns`,
      `${stateText('temperature', -2.5, 'mm').slice(0, 1)}2.5${NARROW}°C`,
    ]);
    const target = { quantity: 'resistance' as const, feature: 'p' };
    expect(changeText({ target, from: null, to: null, change: 600, limit: 220, differs: true, otherTension: false }, 'mm')).toBe(
      `+600${NARROW}Ω (± 220${NARROW}Ω)`,
    );
  });
});
