import { amountText, clearanceText, dateText, dateTimeText, dayOf, fixed, lengthText, moneyText, timeText, useLocale, withUnit } from './index.js';

/** Half past eleven in the evening of 31 December in UTC: another day, month and year further east. */
const NEW_YEAR = '2026-12-31T23:30:00.000Z';

describe('numbers, dates and money', () => {
  afterEach(() => useLocale());

  // worked by hand from the zones' offsets in winter: UTC, +1 h, −5 h, +5:45 h
  for (const [timeZone, date, time, day] of [
    ['UTC', '31 Dec 2026', '23:30', '2026-12-31'],
    ['Europe/Rome', '1 Jan 2027', '00:30', '2027-01-01'],
    ['America/New_York', '31 Dec 2026', '18:30', '2026-12-31'],
    ['Asia/Kathmandu', '1 Jan 2027', '05:15', '2027-01-01'],
  ] as const)
    it(`are of the workshop’s day in ${timeZone}, whatever the machine’s own zone`, () => {
      useLocale({ locale: 'en-GB', timeZone, currency: '' });
      expect([dateText(NEW_YEAR), timeText(NEW_YEAR), dayOf(NEW_YEAR)]).toEqual([date, time, day]);
      expect(dateTimeText(NEW_YEAR)).toBe(`${date}, ${time}`);
    });

  it('take the form of the workshop’s language', () => {
    useLocale({ locale: 'de-DE', timeZone: 'Europe/Berlin', currency: 'EUR' });
    expect(fixed(1234.5, 2)).toBe('1234,50');
    expect(lengthText(-22.2, 'mm')).toBe('−22,20\u202fmm');
    expect(moneyText(123_456)).toBe('1.234,56\u00a0€');
    expect(dateText(NEW_YEAR)).toBe('1. Jan. 2027');
    useLocale({ locale: 'en-US', timeZone: 'UTC', currency: 'USD' });
    expect(moneyText(123_456)).toBe('$1,234.56');
    useLocale();
    expect(moneyText(12_900)).toBe('129.00');
  });

  it('have a true minus, never a negative zero, and a narrow space before the unit', () => {
    expect(fixed(-0.5, 1)).toBe('−0.5');
    expect(fixed(-0.001, 2)).toBe('0.00');
    expect(moneyText(-250)).toBe('−2.50');
    expect(withUnit('22', '°C')).toBe('22\u202f°C');
    expect(withUnit('0.5', '°')).toBe('0.5°');
    expect(lengthText(25.4, 'fraction')).toBe('1\u202fin');
  });

  it('are typed the same in every language', () => {
    useLocale({ locale: 'de-DE', timeZone: 'UTC', currency: 'EUR' });
    expect(amountText(12_900)).toBe('129.00');
  });

  it('say ± once, after the unit', () => {
    const text = clearanceText({ clearance: 1.12, worst: 0.35, check: 'wall', class: 'well', unit: 'mm' } as never, 'mm');
    expect(text).toBe('1.12\u202fmm ± 0.35');
  });
});
