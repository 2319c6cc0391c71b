import { withUnit } from './locale.js';

/** From so many minutes on hours are told. */
const HOURS_FROM = 120;

/** A length of time as it is told at the bench: `45 min`, `12 h`. */
export function durationText(minutes: number): string {
  return minutes < HOURS_FROM ? withUnit(String(minutes), 'min') : withUnit(String(Math.round(minutes / 60)), 'h');
}
