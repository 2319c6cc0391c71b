import { isOpenCircuit, typedOhms } from '../quantity/index.js';
import type { ElectricUnit } from './electric.js';

/** What a text says of a value: nothing, a value in its unit, or none that can be read. */
export type TypedElectric = { readonly kind: 'empty' } | { readonly kind: 'value'; readonly value: number } | { readonly kind: 'wrong' };

/** The power of ten of a prefix. */
const PREFIXES: Readonly<Partial<Record<string, number>>> = { p: -12, n: -9, u: -6, µ: -6, μ: -6, m: -3 };
/** What a bare number means: nF, H, V, mA. */
const BARE: Readonly<Partial<Record<ElectricUnit, number>>> = { F: -9, A: -3 };

/** Reads a value of a circuit as it is typed: `500k` Ω, `680p`, `0,022u` or `22` (nF) for a capacitor, `0.8` mA. Of resistance a bare number is Ω, of inductance H, of voltage V. */
export function typedElectric(unit: ElectricUnit, text: string): TypedElectric {
  const t = text.trim();
  if (t === '') return { kind: 'empty' };
  const value = unit === 'Ω' ? typedOhms(t, 1) : inPowers(unit, t);
  return value === null || isOpenCircuit(value) || !(value > 0) || (unit === 'count' && !Number.isInteger(value))
    ? { kind: 'wrong' }
    : { kind: 'value', value };
}

/** Digits and power go together into one number, so that 22 nF is 2.2e-8 and nothing beside it. */
function inPowers(unit: ElectricUnit, t: string): number | null {
  const m = /^(\d+(?:[.,]\d+)?)\s*([pnuµμm])?\s*([FHVA%]|×|x)?$/i.exec(t);
  if (!m) return null;
  const [, digits = '', prefix, named] = m;
  const has = named?.toUpperCase();
  const isTimes = has === '×' || has === 'X';
  if (has !== undefined && !(unit === 'times' ? isTimes : has === unit)) return null;
  if (prefix !== undefined && (unit === 'times' || unit === 'count' || unit === '%')) return null;
  const power = prefix === undefined ? (named === undefined ? (BARE[unit] ?? 0) : 0) : (PREFIXES[prefix.toLowerCase()] ?? 0);
  return Number(`${digits.replace(',', '.')}e${power}`);
}
