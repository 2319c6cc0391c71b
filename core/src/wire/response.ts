import type { Network, Source } from './alternating.js';
import { eliminateAt, readyFor, type Complex, type Ready } from './eliminate.js';

/**
 * The voltage at the tip, as numerator and denominator in powers of s/`scale`: four numbers a pair of powers, lowest first: the numerator's even and odd one, the
 * denominator's even and odd one. At jx the even powers are the real part in −x², the odd ones the imaginary part.
 */
export interface Rational {
  /** 1/s: where the polynomials were sampled. */
  readonly scale: number;
  readonly fours: Float64Array;
}

/** Where the polynomials are sampled, Hz: among the resonances of pickups. */
const MIDDLE = 6000;
/** Below this of the largest, a coefficient is rounding. */
const ROUNDING = 1e-14;
/** A rational is held against the elimination at both ends of what is heard and where coils resonate by themselves, and must come so near. */
const ENDS = [20, 20_000] as const;
const NEAR = 1e-6;

/** Each source driven as a struck string drives it. */
export const asStruck = ({ sources }: Network): readonly number[] => sources.map((s) => s.drive);
/** One source by itself. */
export const alone = ({ sources }: Network, source: Source): readonly number[] => sources.map((s) => (s === source ? 1 : 0));

/** The voltage at the tip at a frequency, Hz; each source gives a volt by its drive. */
export function voltageAt(n: Network, drives: readonly number[], hertz: number, ready: Ready = readyFor(n)): Complex {
  if (n.tip < 0) return { re: 0, im: 0 };
  eliminateAt(ready, drives, 0, 2 * Math.PI * hertz);
  const [aRe = 0, aIm = 0, bRe = 0, bIm = 0] = ready.ratio;
  return divided(aRe, aIm, bRe, bIm);
}

function divided(aRe: number, aIm: number, bRe: number, bIm: number): Complex {
  const m = bRe * bRe + bIm * bIm;
  return m === 0 ? { re: 0, im: 0 } : { re: (aRe * bRe + aIm * bIm) / m, im: (aIm * bRe - aRe * bIm) / m };
}

/** Cosines and sines around a circle, kept for each number of points. */
const CIRCLES = new Map<number, { readonly cos: Float64Array; readonly sin: Float64Array }>();

function circleOf(points: number): { readonly cos: Float64Array; readonly sin: Float64Array } {
  const known = CIRCLES.get(points);
  if (known) return known;
  const angle = (i: number): number => (2 * Math.PI * i) / points;
  const made = {
    cos: Float64Array.from({ length: points }, (_, i) => Math.cos(angle(i))),
    sin: Float64Array.from({ length: points }, (_, i) => Math.sin(angle(i))),
  };
  CIRCLES.set(points, made);
  return made;
}

/**
 * The response as polynomials [law: network functions are rational in s]: both are sampled around a circle and come out of it by the discrete Fourier transform.
 * null where they do not agree with the elimination where it is hardest: then each point is eliminated by itself.
 */
export function rationalOf(n: Network, drives: readonly number[], ready: Ready = readyFor(n)): Rational | null {
  // each capacitor and each inductance adds at most one power
  const powers = n.sources.length + n.passive.reduce((sum, p) => sum + (p.kind === 'capacitor' ? 1 : 0), 0);
  const points = powers + 1;
  const scale = 2 * Math.PI * MIDDLE;
  const { cos, sin } = circleOf(points);
  const numerator = new Float64Array(points);
  const denominator = new Float64Array(points);
  const { ratio } = ready;
  for (let j = 0; 2 * j <= points; j++) {
    eliminateAt(ready, drives, scale * (cos[j] ?? 0), scale * (sin[j] ?? 0));
    // the other half of the circle is the mirror image: its terms are added by doubling
    const weight = (j === 0 || 2 * j === points ? 1 : 2) / points;
    const a = (ratio[0] ?? 0) * weight;
    const b = (ratio[1] ?? 0) * weight;
    const c = (ratio[2] ?? 0) * weight;
    const d = (ratio[3] ?? 0) * weight;
    for (let k = 0, turn = 0; k < points; k++) {
      const x = cos[turn] ?? 0;
      const y = sin[turn] ?? 0;
      numerator[k] = (numerator[k] ?? 0) + a * x + b * y;
      denominator[k] = (denominator[k] ?? 0) + c * x + d * y;
      turn += j;
      if (turn >= points) turn -= points;
    }
  }
  const r: Rational = { scale, fours: inFours(trimmed(numerator), trimmed(denominator)) };
  const near = heldAt(n).every((f) => {
    const [a, b] = [valueAt(r, f), voltageAt(n, drives, f, ready)];
    return Math.hypot(a.re - b.re, a.im - b.im) <= NEAR * (Math.hypot(b.re, b.im) + NEAR);
  });
  return near ? r : null;
}

/** Where roots may nearly meet: both ends, and each coil's own resonance with what lies across it. */
function heldAt({ sources, passive }: Network): readonly number[] {
  const own = sources.flatMap((s) => {
    const farad = passive.reduce((sum, c) => sum + (c.kind === 'capacitor' && ((c.a === s.a && c.b === s.b) || (c.b === s.a && c.a === s.b)) ? c.value : 0), 0);
    const hertz = 1 / (2 * Math.PI * Math.sqrt(s.henry * farad));
    return hertz > ENDS[0] && hertz < ENDS[1] ? [hertz] : [];
  });
  return [...ENDS, ...own];
}

/** Without rounding, and no longer than it must be. */
function trimmed(p: Float64Array): Float64Array {
  let largest = 0;
  for (const x of p) largest = Math.max(largest, Math.abs(x));
  let length = 1;
  for (let k = 0; k < p.length; k++) {
    if (Math.abs(p[k] ?? 0) <= ROUNDING * largest) p[k] = 0;
    else length = k + 1;
  }
  return p.subarray(0, length);
}

function inFours(numerator: Float64Array, denominator: Float64Array): Float64Array {
  const pairs = Math.ceil(Math.max(numerator.length, denominator.length) / 2);
  const fours = new Float64Array(4 * pairs);
  for (let i = 0; i < fours.length; i++) fours[i] = ((i & 2) === 0 ? numerator : denominator)[2 * (i >> 2) + (i & 1)] ?? 0;
  return fours;
}

/** A rational's value at a frequency, Hz. */
export function valueAt(r: Rational, hertz: number): Complex {
  const out = new Float64Array(4);
  atFrequency(r, hertz, out);
  const [a = 0, b = 0, c = 0, d = 0] = out;
  return divided(a, b, c, d);
}

/** Numerator re, im, denominator re, im at a frequency, Hz, by Horner's rule. */
function atFrequency({ scale, fours }: Rational, hertz: number, out: Float64Array): void {
  const x = (2 * Math.PI * hertz) / scale;
  const q = -x * x;
  let a = 0;
  let b = 0;
  let c = 0;
  let d = 0;
  for (let k = fours.length - 4; k >= 0; k -= 4) {
    a = a * q + (fours[k] ?? 0);
    b = b * q + (fours[k + 1] ?? 0);
    c = c * q + (fours[k + 2] ?? 0);
    d = d * q + (fours[k + 3] ?? 0);
  }
  out[0] = a;
  out[1] = b * x;
  out[2] = c;
  out[3] = d * x;
}

/** Nothing at all is heard: this stands for it, dB. */
export const SILENT = -400;
const SMALLEST = 1e-40;
const DECIBELS = 10 / Math.LN10;

/** The level at one frequency after another, dB over a volt at each source, of a network that is made ready once. */
export function levelMeter(n: Network, drives: readonly number[] = asStruck(n)): (hertz: number) => number {
  if (n.tip < 0 || n.sources.length === 0) return () => SILENT;
  const ready = readyFor(n);
  const r = rationalOf(n, drives, ready);
  return (hertz) => {
    const { re, im } = r === null ? voltageAt(n, drives, hertz, ready) : valueAt(r, hertz);
    return DECIBELS * Math.log(Math.max(SMALLEST, re * re + im * im));
  };
}

/** The level at each frequency, dB over a volt at each source. */
export function levelsOf(n: Network, hertz: Float64Array, drives: readonly number[] = asStruck(n)): Float64Array {
  const levels = new Float64Array(hertz.length);
  if (n.tip < 0 || n.sources.length === 0) return levels.fill(SILENT);
  const ready = readyFor(n);
  const r = rationalOf(n, drives, ready);
  if (r === null) {
    for (let i = 0; i < hertz.length; i++) {
      const v = voltageAt(n, drives, hertz[i] ?? 0, ready);
      levels[i] = DECIBELS * Math.log(Math.max(SMALLEST, v.re * v.re + v.im * v.im));
    }
    return levels;
  }
  const out = new Float64Array(4);
  for (let i = 0; i < hertz.length; i++) {
    atFrequency(r, hertz[i] ?? 0, out);
    const a = out[0] ?? 0;
    const b = out[1] ?? 0;
    const c = out[2] ?? 0;
    const d = out[3] ?? 0;
    levels[i] = DECIBELS * Math.log(Math.max(SMALLEST, (a * a + b * b) / (c * c + d * d)));
  }
  return levels;
}

/** Frequencies from 20 Hz to 20 kHz, evenly over the octaves. Throws RangeError for fewer than two. */
export function heardFrequencies(count: number): Float64Array {
  if (!(count >= 2)) throw new RangeError('a curve has two points or more');
  return Float64Array.from({ length: count }, (_, i) => 20 * 1000 ** (i / (count - 1)));
}
