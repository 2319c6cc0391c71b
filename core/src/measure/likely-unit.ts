import { MM_PER_INCH, type LengthUnit } from './length.js';

/** A unit as it stands behind a number. */
export type UnitWord = 'mm' | 'in' | 'thou';

const MM_PER: Readonly<Record<UnitWord, number>> = { mm: 1, in: MM_PER_INCH, thou: MM_PER_INCH / 1000 };
const WORD: Readonly<Record<LengthUnit, UnitWord>> = { mm: 'mm', fraction: 'in', inch: 'in', thou: 'thou' };

/** Fewer are not told in thou where a length is asked for [memory]. */
const FEWEST_THOU = 100;

/** The unit of a bare number that is typed. */
export const unitWord = (unit: LengthUnit): UnitWord => WORD[unit];

/** The unit that was probably meant by a bare number: 1.75 typed for a body in mm is 44.45 as inches; null when the value can be as it is, or in no unit. */
export function likelyUnit(mm: number, range: { readonly min: number; readonly max: number }, unit: LengthUnit): UnitWord | null {
  const fits = (v: number): boolean => v >= range.min && v <= range.max;
  if (fits(mm)) return null;
  const bare = mm / MM_PER[WORD[unit]];
  const meant = (word: UnitWord): boolean => word !== WORD[unit] && fits(bare * MM_PER[word]) && (word !== 'thou' || bare >= FEWEST_THOU);
  return (['in', 'mm', 'thou'] as const).find(meant) ?? null;
}
