import { isOpenCircuit } from '../quantity/index.js';
import { pickupIn, type Pickup, type Shelf } from '../part/index.js';
import { copperFactor, USUAL_ROOM } from './copper.js';
import { isOneLead } from './find-leads.js';
import { coilsOf } from './values.js';

/** What a meter should read across a coil, Ω; null: nobody can say. */
export interface CoilExpected {
  readonly coil: string;
  readonly expected: number | null;
  readonly limit: number;
}

/** Each coil of a pickup as a meter should read it where nobody read the thermometer: 4000 ± 400 by its sheet, in air of 15 to 25 °C, within 486 [law: copper]. */
export function coilsExpected(part: Pickup): readonly CoilExpected[] {
  const warm = copperFactor(USUAL_ROOM.celsius + USUAL_ROOM.limit);
  return coilsOf(part).map(({ name, ohms }) =>
    ohms ? { coil: name, expected: ohms.value, limit: (ohms.value + ohms.limit) * warm - ohms.value } : { coil: name, expected: null, limit: 0 },
  );
}

/** The coils that a new part is metered by; none: it is no pickup. */
export function coilsOfPart(shelf: Shelf, part: string | null): readonly CoilExpected[] {
  const pickup = pickupIn(shelf, part);
  return pickup ? coilsExpected(pickup) : [];
}

/** What a reading across one coil of a new pickup says: it is dead, it is another than its sheet, or as it should be; null: nothing to hold it against. */
export type CoilSays = 'open' | 'shorted' | 'low' | 'high' | 'agrees' | null;

export function coilSays({ expected, limit }: Pick<CoilExpected, 'expected' | 'limit'>, read: { readonly value: number; readonly limit: number }): CoilSays {
  if (isOpenCircuit(read.value)) return 'open';
  if (isOneLead(read.value)) return 'shorted';
  if (expected === null) return null;
  const off = read.value - expected;
  return Math.abs(off) <= limit + read.limit ? 'agrees' : off < 0 ? 'low' : 'high';
}
