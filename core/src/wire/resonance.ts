import type { Network } from './alternating.js';
import { asStruck, heardFrequencies, levelMeter, SILENT } from './response.js';

/** The peak of a response, and the level that it stands over. */
export interface Resonance {
  /** Hz; null: the level only falls. */
  readonly hertz: number | null;
  /** dB over the level at low frequency; 0 where there is no peak. */
  readonly height: number;
  /** dB over a volt at each source, at low frequency. */
  readonly level: number;
  /** Where it has fallen by 3 dB below the low level, Hz; null: not before 20 kHz. */
  readonly fallen: number | null;
  /** The loss of a coil is not known: no real peak is higher. */
  readonly upperBound: boolean;
}

/** Where the level is read that a peak stands over, Hz. */
const LOW = 100;
/** What a response loses at the end of its band, dB: half of the power. */
const HALF = 10 * Math.log10(2);
const POINTS = 241;

/** The resonance of what is heard; null where nothing is. 4.4 H with 650 pF: 3.0 kHz. */
export function resonanceOf(n: Network, drives: readonly number[] = asStruck(n)): Resonance | null {
  const at = levelMeter(n, drives);
  const level = at(LOW);
  if (level <= SILENT) return null;
  const hertz = heardFrequencies(POINTS);
  const levels = hertz.map(at);
  let top = 0;
  for (let i = 1; i < levels.length; i++) if ((levels[i] ?? 0) > (levels[top] ?? 0)) top = i;
  const peak = top > 0 && top < POINTS - 1 && (levels[top] ?? 0) > level + 0.01 ? refined(at, hertz[top - 1] ?? 0, hertz[top + 1] ?? 0) : null;
  const from = peak === null ? 0 : top;
  const below = levels.findIndex((l, i) => i > from && l < level - HALF && (hertz[i] ?? 0) > LOW);
  return {
    hertz: peak,
    height: peak === null ? 0 : at(peak) - level,
    level,
    fallen: below < 0 ? null : crossing(at, hertz[below - 1] ?? 0, hertz[below] ?? 0, level - HALF),
    upperBound: n.sources.some((s) => s.henry > 0 && s.loss === Infinity),
  };
}

type At = (hertz: number) => number;

/** The top between two frequencies, by thirds. */
function refined(at: At, low: number, high: number): number {
  let [lo, hi] = [low, high];
  while (hi / lo > 1 + 1e-6) {
    const [a, b] = [lo + (hi - lo) / 3, hi - (hi - lo) / 3];
    if (at(a) < at(b)) lo = a;
    else hi = b;
  }
  return (lo + hi) / 2;
}

/** Where the level goes through a value between two frequencies, by halves. */
function crossing(at: At, low: number, high: number, value: number): number {
  let [lo, hi] = [low, high];
  while (hi / lo > 1 + 1e-9) {
    const middle = (lo + hi) / 2;
    if (at(middle) > value) lo = middle;
    else hi = middle;
  }
  return (lo + hi) / 2;
}
