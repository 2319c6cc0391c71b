import { isOpenCircuit } from '@rinnovo/core/quantity';
import type { ContactProblem, ContactTable, ElectricId, ElectricUnit, LeadsFound } from '@rinnovo/core/part';
import { dateText, fixed, withUnit } from './locale.js';

/** What of a part is marked in electric units. */
export const ELECTRIC_WORDS: Readonly<Record<ElectricId, string>> = {
  ohms: 'Resistance',
  farad: 'Capacitance',
  volt: 'Voltage',
  gain: 'Gain',
  sourceOhms: 'Output impedance',
  inputOhms: 'Input impedance',
  supply: 'Supply current',
  rows: 'Rows',
  tolerance: 'Tolerance',
};

/** How a value is typed, where it cannot be read. */
export const ELECTRIC_EXAMPLES: Readonly<Record<ElectricUnit, string>> = {
  Ω: 'Not a resistance. Try 500k, 1M or 470.',
  F: 'Not a capacitance. Try 22n, 680p, or 22 for nF.',
  H: 'Not an inductance in H. Try 2.8 or 2800m.',
  V: 'Not a voltage. Try 9.',
  A: 'Not a current in mA. Try 0.8.',
  times: 'Not a factor. Try 1 or 2.5.',
  count: 'Not a whole number.',
  '%': 'Not a percentage. Try 20 or 5.',
};

const SCALES: Readonly<Record<'Ω' | 'F' | 'H' | 'V' | 'A', readonly (readonly [number, string])[]>> = {
  Ω: [
    [1e6, 'MΩ'],
    [1e3, 'kΩ'],
    [1, 'Ω'],
  ],
  F: [
    [1e-6, 'µF'],
    [1e-9, 'nF'],
    [1e-12, 'pF'],
  ],
  H: [[1, 'H']],
  V: [[1, 'V']],
  A: [[1e-3, 'mA']],
};

const PLAIN = { times: '×', count: '', '%': '%' } as const;

/** A number and its unit, with the digits that a meter shows, in the scale of `like`; an open circuit has none. */
export function electricParts(value: number, unit: ElectricUnit, like = value): readonly [string, string] {
  if (unit === 'times' || unit === 'count' || unit === '%') return [fixed(value, Number.isInteger(value) ? 0 : 2), PLAIN[unit]];
  if (unit === 'Ω' && isOpenCircuit(value)) return ['open (OL)', ''];
  const scales = SCALES[unit];
  // 999.9999 of a scale is 1 of the next
  const [scale, word] = scales.find(([s]) => like * (1 + 1e-9) >= s) ?? scales.at(-1) ?? [1, unit];
  const shown = value / scale;
  if (unit === 'Ω') return [fixed(shown, scale === 1 ? (Number.isInteger(value) ? 0 : 1) : digits(shown)), word];
  return [fixed(shown, unit === 'F' ? (scale === 1e-12 ? 0 : scale === 1e-9 ? 1 : 2) : unit === 'V' ? 1 : 2), word];
}

const digits = (shown: number): number => (shown >= 100 ? 0 : shown >= 10 ? 1 : 2);

/** A value with its unit: 7.87 kΩ, 22.0 nF, 680 pF, 2.80 H, 0.80 mA, 2.5 ×, 3. */
export function electricText(value: number, unit: ElectricUnit): string {
  const [number, word] = electricParts(value, unit);
  return word === '' ? number : withUnit(number, word);
}

/** That a value is not likely, and what was probably meant; null: nobody can say. */
export function unusualText(value: number, unit: ElectricUnit, meant: number | null): string {
  return `${electricText(value, unit)} is unusual here.${meant === null ? '' : ` Did you mean ${electricText(meant, unit)}?`}`;
}

/** What cannot be of the contacts of a switch. */
export function contactProblemText(p: ContactProblem): string {
  switch (p.kind) {
    case 'joined to itself':
      return `position ${p.position + 1} joins ${p.lug} to itself`;
    case 'no such lug':
      return `position ${p.position + 1} names ${p.lug}, which is not a lug`;
    case 'lug twice':
      return `two lugs are called ${p.lug}`;
    case 'no positions':
      return 'has no positions';
    case 'never joined':
      return `${p.lug} is never joined`;
  }
}

/** What is joined in one position: `a.C – a.1, b.C – b.1`. */
export const joinsText = (joins: readonly (readonly [string, string])[]): string =>
  joins.length === 0 ? 'nothing joined' : joins.map((j) => j.join(' – ')).join(', ');

/** A contact table in one line. */
export const contactsText = ({ positions }: ContactTable): string => positions.map(({ joins }, i) => `${i + 1}: ${joinsText(joins)}`).join(' · ');

/** What the leads of a pickup were found by: `1 December 2026: red – white 4.05 kΩ; red up`. */
export function leadsFoundText({ day, readings, swings }: LeadsFound): string {
  const all = [...readings.map((r) => `${r.a} – ${r.b} ${electricText(r.ohms, 'Ω')}`), ...swings.map((s) => `red probe on ${s.red}: ${s.to}`)];
  return `${dateText(day)}: ${all.join('; ')}`;
}
