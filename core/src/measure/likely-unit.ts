import { MM_PER_INCH } from './length.js';

/** The unit that was probably meant: 1.75 typed for a body in mm is 44.45 as inches; null when the value can be as it is, or neither way. */
export function likelyUnit(mm: number, range: { readonly min: number; readonly max: number }): 'inch' | 'mm' | null {
  const fits = (v: number): boolean => v >= range.min && v <= range.max;
  if (fits(mm)) return null;
  if (fits(mm * MM_PER_INCH)) return 'inch';
  return fits(mm / MM_PER_INCH) ? 'mm' : null;
}
