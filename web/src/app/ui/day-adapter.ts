import { Injectable, type Provider } from '@angular/core';
import { DateAdapter, MAT_DATE_FORMATS, NativeDateAdapter } from '@angular/material/core';
import { localeInUse } from '@rinnovo/words';

/** Days as the workshop writes them: typed in the order of its locale, or as 2026-12-01. */
@Injectable()
export class DayAdapter extends NativeDateAdapter {
  constructor() {
    super();
    this.setLocale(localeInUse().locale);
  }

  override parse(value: unknown): Date | null {
    const text = typeof value === 'string' ? value.trim() : '';
    if (text === '') return null;
    const typed = /^(\d{1,4})\D+(\d{1,2})\D+(\d{1,4})\D*$/.exec(text)?.slice(1).map(Number);
    if (!typed) return this.invalid();
    const order = typed[0] !== undefined && typed[0] > 31 ? (['year', 'month', 'day'] as const) : orderIn(localeInUse().locale);
    const of = (part: string): number => typed[order.findIndex((o) => o === part)] ?? NaN;
    const [year, month, day] = [of('year'), of('month'), of('day')];
    // two figures are of this century
    return dayFrom(year < 100 ? year + 2000 : year, month, day) ?? this.invalid();
  }
}

/** Day, month and year in the order of a locale's short dates. */
function orderIn(locale: string): readonly string[] {
  return new Intl.DateTimeFormat(locale).formatToParts(new Date(2026, 11, 31)).flatMap(({ type }) => (['day', 'month', 'year'].includes(type) ? [type] : []));
}

/** A day of the calendar; null where it has none of that number. */
function dayFrom(year: number, month: number, day: number): Date | null {
  const d = new Date(year, month - 1, day);
  return d.getFullYear() === year && d.getMonth() === month - 1 && d.getDate() === day ? d : null;
}

/** The day that an ISO date names; null for none. */
export function dayOfIso(iso: string | null): Date | null {
  const [year = NaN, month = NaN, day = NaN] = (iso ?? '').split('-').map(Number);
  return dayFrom(year, month, day);
}

/** The ISO date of a day on the calendar here. */
export function isoOfDay(day: Date): string {
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${String(day.getFullYear()).padStart(4, '0')}-${two(day.getMonth() + 1)}-${two(day.getDate())}`;
}

const SHORT = { year: 'numeric', month: '2-digit', day: '2-digit' } as const;

/** A date field of Material that writes days as the workshop does. */
export const DAYS: readonly Provider[] = [
  { provide: DateAdapter, useClass: DayAdapter },
  {
    provide: MAT_DATE_FORMATS,
    useValue: {
      parse: { dateInput: null },
      display: {
        dateInput: SHORT,
        monthYearLabel: { year: 'numeric', month: 'short' },
        dateA11yLabel: { year: 'numeric', month: 'long', day: 'numeric' },
        monthYearA11yLabel: { year: 'numeric', month: 'long' },
      },
    },
  },
];
