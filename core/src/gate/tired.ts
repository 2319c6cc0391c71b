import { constant } from '../measure/index.js';
import type { Settings } from '../operation/index.js';

/** Why a cut may better wait: it is late, or the day was long. */
export type Tired = 'late' | 'long';

/** What it is called among the things that somebody took upon himself. */
export const CANNOT_WAIT = 'confirm/cannotWait';

/** Work before this hour is work of the night before. */
const MORNING = constant(5, 'memory', 'Late and long days');
/** The hour that never comes, and a day of so many hours: nobody is asked. */
const NEVER = 24;

/** Is somebody likely to be tired: past the shop's hour by its own clock, or more hours logged that day than it sets? 22:10 where 22 is set: late. `worked`: entries of the ledger. */
export function tiredAt({
  now,
  timeZone,
  settings,
  worked,
}: {
  readonly now: Date;
  /** IANA. */
  readonly timeZone: string;
  readonly settings: Pick<Settings, 'lateHour' | 'dayHours'>;
  readonly worked: readonly { readonly at: string; readonly minutes: number | null }[];
}): Tired | null {
  const clock = new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', hourCycle: 'h23' });
  const hour = Number(clock.format(now));
  if (settings.lateHour < NEVER && (hour >= settings.lateHour || hour < Math.min(MORNING.value, settings.lateHour))) return 'late';
  const day = new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' });
  const today = day.format(now);
  const minutes = worked.reduce((sum, w) => (w.minutes !== null && day.format(new Date(w.at)) === today ? sum + w.minutes : sum), 0);
  return settings.dayHours < NEVER && minutes > settings.dayHours * 60 ? 'long' : null;
}
