import { MM_PER_INCH } from '../measure/index.js';

/** A drill by the name on its shank, and its diameter, mm. */
export interface DrillSize {
  readonly name: string;
  readonly diameter: number;
}

export type DrillSystem = 'metric' | 'fraction' | 'number' | 'letter';

/** Number drills 1 to 60 and letter drills A to Z, inches [std: published in ANSI/ASME B94.11M, values from memory]. */
const NUMBERS: readonly number[] = [
  0.228, 0.221, 0.213, 0.209, 0.2055, 0.204, 0.201, 0.199, 0.196, 0.1935, 0.191, 0.189, 0.185, 0.182, 0.18, 0.177, 0.173, 0.1695, 0.166, 0.161, 0.159, 0.157,
  0.154, 0.152, 0.1495, 0.147, 0.144, 0.1405, 0.136, 0.1285, 0.12, 0.116, 0.113, 0.111, 0.11, 0.1065, 0.104, 0.1015, 0.0995, 0.098, 0.096, 0.0935, 0.089, 0.086,
  0.082, 0.081, 0.0785, 0.076, 0.073, 0.07, 0.067, 0.0635, 0.0595, 0.055, 0.052, 0.0465, 0.043, 0.042, 0.041, 0.04,
];
const LETTERS: readonly number[] = [
  0.234, 0.238, 0.242, 0.246, 0.25, 0.257, 0.261, 0.266, 0.272, 0.277, 0.281, 0.29, 0.295, 0.302, 0.316, 0.323, 0.332, 0.339, 0.348, 0.358, 0.368, 0.377, 0.386,
  0.397, 0.404, 0.413,
];

/** Steps of the metric set: by 0.1 below 10, by 0.5 from there [trade: docs/trade/part.md, Drills]. */
const FINE = 0.1;
const COARSE = 0.5;
const FINE_TO = 10;

/** Every drill of a system from one diameter to another, mm, smallest first. Number 30 is 3.2639, H 6.7564, 25/64 in 9.9219. */
export function drillSizes(system: DrillSystem, from: number, to: number): readonly DrillSize[] {
  return ofSystem(system, to)
    .filter((d) => d.diameter >= from - 1e-6 && d.diameter <= to + 1e-6)
    .sort((a, b) => a.diameter - b.diameter);
}

function ofSystem(system: DrillSystem, to: number): readonly DrillSize[] {
  switch (system) {
    case 'number':
      return NUMBERS.map((inch, i) => ({ name: `#${i + 1}`, diameter: inch * MM_PER_INCH }));
    case 'letter':
      return LETTERS.map((inch, i) => ({ name: String.fromCharCode(65 + i), diameter: inch * MM_PER_INCH }));
    case 'fraction':
      return Array.from({ length: Math.floor((to / MM_PER_INCH) * 64) + 1 }, (_, i) => ({ name: `${fraction(i)} in`, diameter: (i / 64) * MM_PER_INCH })).slice(
        1,
      );
    case 'metric': {
      const fine = Array.from({ length: Math.round(FINE_TO / FINE) - 1 }, (_, i) => (i + 1) * FINE);
      const coarse = Array.from({ length: Math.max(0, Math.floor((to - FINE_TO) / COARSE + 1e-6)) + 1 }, (_, i) => FINE_TO + i * COARSE);
      return [...fine, ...coarse].map((d) => ({ name: `${d.toFixed(1)} mm`, diameter: Math.round(d * 10) / 10 }));
    }
  }
}

function fraction(sixtyFourths: number): string {
  let [n, d] = [sixtyFourths, 64];
  while (n % 2 === 0 && d > 1) [n, d] = [n / 2, d / 2];
  const whole = Math.floor(n / d);
  const rest = n - whole * d;
  return [whole > 0 ? String(whole) : '', rest > 0 ? `${rest}/${d}` : ''].filter(Boolean).join(' ');
}

/** The drill nearest to a diameter at or above it; null when none is large enough. */
export function drillAtOrAbove(diameter: number, owned: readonly DrillSize[]): DrillSize | null {
  return owned.filter((d) => d.diameter >= diameter - 1e-6).reduce<DrillSize | null>((n, d) => (n && n.diameter <= d.diameter ? n : d), null);
}

/** How far the point of a twist drill of 118° stands out, mm: half its diameter over tan 59° [law]. Of 8.0: 2.40. */
export function drillPoint(diameter: number): number {
  return (0.5 * diameter) / Math.tan((59 * Math.PI) / 180);
}
