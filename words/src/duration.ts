import { withUnit } from './locale.js';

/** From so many minutes on hours are told. */
const HOURS_FROM = 120;

/** A length of time as it is told at the bench: `45 min`, `12 h`. */
export function durationText(minutes: number): string {
  return minutes < HOURS_FROM ? withUnit(String(minutes), 'min') : withUnit(String(Math.round(minutes / 60)), 'h');
}

/** Working time as it is charged, to the minute: 201 is `3 h 21 min`. */
export function workText(minutes: number): string {
  const [hours, rest] = [Math.floor(Math.round(minutes) / 60), Math.round(minutes) % 60];
  return [...(hours > 0 ? [withUnit(String(hours), 'h')] : []), ...(rest > 0 || hours === 0 ? [withUnit(String(rest), 'min')] : [])].join(' ');
}
