import { TestBed } from '@angular/core/testing';
import { DateAdapter } from '@angular/material/core';
import { useLocale } from '@rinnovo/words';
import { DAYS, dayOfIso, isoOfDay } from './day-adapter';

describe('a day that is typed', () => {
  afterEach(() => {
    useLocale();
  });

  function parsed(locale: string, text: string): string | null {
    TestBed.resetTestingModule();
    useLocale({ locale, timeZone: 'UTC', currency: '' });
    TestBed.configureTestingModule({ providers: [...DAYS] });
    const adapter = TestBed.inject(DateAdapter) as DateAdapter<Date>;
    const day = adapter.parse(text, null);
    return day === null ? null : adapter.isValid(day) ? isoOfDay(day) : 'no day';
  }

  it('is read in the order of the workshop’s locale, and as an ISO date anywhere', () => {
    expect(parsed('en-GB', '3/12/2026')).toBe('2026-12-03');
    expect(parsed('en-US', '3/12/2026')).toBe('2026-03-12');
    expect(parsed('de-DE', '3.12.26')).toBe('2026-12-03');
    expect(parsed('ja-JP', '2026/12/3')).toBe('2026-12-03');
    expect(parsed('en-US', '2026-12-03')).toBe('2026-12-03');
    expect(parsed('en-GB', ' ')).toBeNull();
  });

  it('is none that the calendar has not', () => {
    for (const text of ['31/2/2026', '1/13/2026', 'soon', '12/2026', '0/1/2026']) expect(parsed('en-GB', text)).withContext(text).toBe('no day');
  });

  it('goes to its ISO date and back', () => {
    for (const iso of ['2024-02-29', '2026-12-31', '2027-01-01']) expect(isoOfDay(dayOfIso(iso)!)).toBe(iso);
    expect([dayOfIso(null), dayOfIso('2025-02-29'), dayOfIso('x')]).toEqual([null, null, null]);
  });
});
