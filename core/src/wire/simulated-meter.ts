import { OPEN } from '../quantity/index.js';
import type { Circuit, Lug } from './circuit.js';
import { netlistOf, wired } from './netlist.js';
import { readingBetween } from './resistance.js';
import type { Setting } from './setting.js';

/** The air, and a source of chance from 0 to 1. */
export interface MeterConditions {
  readonly celsius: number;
  readonly random: () => number;
}

/** What a stand-in for a meter shows, one number after another until it stands still; `shown` is the last. It is simulated, and whoever keeps it says so. */
export interface SimulatedReading {
  readonly simulated: true;
  /** Ω; OPEN: OL. */
  readonly settling: readonly number[];
  readonly shown: number;
  /** The full scale of the range that it chose, Ω. */
  readonly range: number;
}

/** Full scales of a meter of three and a half digits, Ω. */
const RANGES = [200, 2e3, 20e3, 200e3, 2e6, 20e6] as const;
const COUNTS = 2000;
/** Leads and contacts add so much, Ω, and up to so much more at a bad touch. */
const LEADS = 0.2;
const TOUCH = 0.8;
/** A coil takes a moment: the first numbers are off by this share, and by half as much each time. */
const OFF = 0.08;
const STEPS = 4;

/** The probes of a simulated meter on two lugs of a circuit as it really is. Throws RangeError for a lug that is not there. */
export function simulatedMeter(circuit: Circuit, a: Lug, b: Lug, setting: Setting, { celsius, random }: MeterConditions): SimulatedReading {
  const actual = readingBetween(netlistOf(wired(circuit), setting), a, b, { celsius, limit: 0 });
  const range = RANGES.find((r) => actual < r) ?? Infinity;
  if (range === Infinity) return { simulated: true, settling: [OPEN], shown: OPEN, range: RANGES[RANGES.length - 1] ?? 0 };
  const step = range / COUNTS;
  const touched = actual + LEADS + TOUCH * random();
  const rounded = (ohms: number): number => Math.round(Math.round(ohms / step) * step * 1e6) / 1e6;
  const settling = Array.from({ length: STEPS }, (_, i) => rounded(touched * (1 + OFF * 0.5 ** i * (random() - 0.5)) + step * (random() - 0.5)));
  const shown = rounded(touched);
  return { simulated: true, settling: [...settling, shown], shown, range };
}
