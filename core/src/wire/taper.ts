import { constant } from '../measure/index.js';

/**
 * How a track's wiper goes from its anticlockwise end (0) to its clockwise end (1) as the shaft turns. Two straight slopes stand for an audio taper.
 * M and N are the tracks of a blend: full from the middle on, full up to it.
 */
export const TAPERS = ['linear', 'audio 10', 'audio 15', 'reverse audio 10', 'reverse audio 15', 'M', 'N'] as const;
export type TaperId = (typeof TAPERS)[number];

/** How much of the track lies below the wiper at half turn. */
const AUDIO_10 = constant(0.1, 'trade', 'Pots');
const AUDIO_15 = constant(0.15, 'trade', 'Pots');

/** Two straight slopes over (0.5, middle). */
const slopes = (turn: number, middle: number): number => (turn <= 0.5 ? 2 * middle * turn : middle + 2 * (1 - middle) * (turn - 0.5));

/** The share of the track between the anticlockwise lug and the wiper; 0.5 of an audio taper: 0.1. Throws RangeError outside 0 to 1. */
export function trackShare(taper: TaperId, turn: number): number {
  if (!(turn >= 0 && turn <= 1)) throw new RangeError('a shaft turns from 0 to 1');
  switch (taper) {
    case 'linear':
      return turn;
    case 'audio 10':
      return slopes(turn, AUDIO_10.value);
    case 'audio 15':
      return slopes(turn, AUDIO_15.value);
    case 'reverse audio 10':
      return 1 - slopes(1 - turn, AUDIO_10.value);
    case 'reverse audio 15':
      return 1 - slopes(1 - turn, AUDIO_15.value);
    case 'M':
      return Math.min(1, 2 * turn);
    case 'N':
      return Math.max(0, 2 * turn - 1);
  }
}
