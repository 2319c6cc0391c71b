import type { Load } from './alternating.js';
import { networkOf } from './alternating.js';
import { netlistOf, type Wired } from './netlist.js';
import { resonanceOf } from './resonance.js';
import { levelMeter } from './response.js';
import type { Setting } from './setting.js';

/** Where the turn of a pot is told, Hz: a note's middle, and treble that a tone takes first. */
export const TURN_AT = [200, 5000] as const;
/** A knob is looked at from 0 to 10 by halves. */
const STEPS = 20;

/** What a pot does at one place of its turn: levels at TURN_AT in dB, and where the peak lies; null: there is none. */
export interface AtTurn {
  readonly turn: number;
  readonly levels: readonly number[];
  readonly peak: number | null;
}

/** What a pot does over its turn, all else as it is set: an audio volume of 10 % at half gives about 20 dB less there. */
export function overTurn(w: Wired, setting: Setting, pot: string, load: Load): readonly AtTurn[] {
  return Array.from({ length: STEPS + 1 }, (_, i) => {
    const turn = i / STEPS;
    const n = networkOf(netlistOf(w, { ...setting, knobs: { ...setting.knobs, [pot]: turn } }), load);
    return { turn, levels: TURN_AT.map(levelMeter(n)), peak: resonanceOf(n)?.hertz ?? null };
  });
}
