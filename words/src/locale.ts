/** In which language's form numbers, dates and money are written, in whose time, in which coin. One program serves one workshop, so there is one of these. */
export interface WorkshopLocale {
  /** BCP 47: `en-GB`, `de-DE`. */
  readonly locale: string;
  /** IANA: `Europe/Rome`. */
  readonly timeZone: string;
  /** ISO 4217: `EUR`; empty: amounts stand without a coin. */
  readonly currency: string;
}

const PLAIN: WorkshopLocale = { locale: 'en-GB', timeZone: 'UTC', currency: '' };

/** No-break and narrow: it holds a number and its unit together. */
const NARROW = '\u202f';
const MINUS = '\u2212';

let current: WorkshopLocale = PLAIN;
const numbers = new Map<string, Intl.NumberFormat>();
const moments = new Map<string, Intl.DateTimeFormat>();

/** Sets the workshop's form of numbers, dates and money, at the start and when it is changed; without one the plain one. */
export function useLocale(locale: WorkshopLocale = PLAIN): void {
  current = locale;
  numbers.clear();
  moments.clear();
}

/** The workshop's form as it is in force. */
export function localeInUse(): WorkshopLocale {
  return current;
}

function numberFormat(key: string, options: Intl.NumberFormatOptions): Intl.NumberFormat {
  const found = numbers.get(key) ?? new Intl.NumberFormat(current.locale, options);
  numbers.set(key, found);
  return found;
}

function momentFormat(key: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const found = moments.get(key) ?? new Intl.DateTimeFormat(current.locale, { timeZone: current.timeZone, ...options });
  moments.set(key, found);
  return found;
}

/** A number with fixed places and a true minus; nothing is negative zero. `fixed(-0.5, 1)` is `−0.5`, in German `−0,5`. */
export function fixed(value: number, places: number): string {
  const text = numberFormat(`fixed ${places}`, { minimumFractionDigits: places, maximumFractionDigits: places, useGrouping: false }).format(Math.abs(value));
  return value < 0 && Number(Math.abs(value).toFixed(places)) !== 0 ? `${MINUS}${text}` : text;
}

/** A number and its unit with a narrow space between; a degree sign follows at once. */
export function withUnit(number: string, unit: string): string {
  return unit === '°' ? `${number}${unit}` : `${number}${NARROW}${unit}`;
}

/** An amount in the workshop's coin: 12900 in the smallest coin is `€129.00`, or `129.00` where no coin is set. */
export function moneyText(coins: number): string {
  const options: Intl.NumberFormatOptions = current.currency === '' ? {} : { style: 'currency', currency: current.currency };
  const text = numberFormat('money', { ...options, minimumFractionDigits: 2, maximumFractionDigits: 2 }).format(coins / 100);
  return text.replace('-', MINUS);
}

/** `24 Nov 2026` in the workshop's time. */
export function dateText(iso: string): string {
  return momentFormat('date', { day: 'numeric', month: 'short', year: 'numeric' }).format(new Date(iso));
}

/** `10:05` in the workshop's time. */
export function timeText(iso: string): string {
  return momentFormat('time', { hour: '2-digit', minute: '2-digit' }).format(new Date(iso));
}

/** `24 Nov 2026, 10:05` in the workshop's time. */
export function dateTimeText(iso: string): string {
  return momentFormat('both', { day: 'numeric', month: 'short', year: 'numeric', hour: '2-digit', minute: '2-digit' }).format(new Date(iso));
}

/** The day of a moment in the workshop's time, as `2026-11-24`: to be stored and compared. */
export function dayOf(iso: string): string {
  const parts = new Intl.DateTimeFormat('en-CA', { timeZone: current.timeZone, year: 'numeric', month: '2-digit', day: '2-digit' });
  return parts.format(new Date(iso));
}
