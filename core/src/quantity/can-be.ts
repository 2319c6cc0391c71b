import type { AnyQuantity } from './catalogue.js';

/** What a meter tells as OL: more than it can tell, Ω. A number beyond every range, so that it compares as what it is. */
export const OPEN = 1e9;

/** Did the meter show OL? */
export const isOpenCircuit = (value: number): boolean => value >= OPEN;

/** Can a value be one of a quantity: within its range, of an answer a whole number, of what a meter reads also open? */
export function canBe({ min, max, choices, open }: AnyQuantity, value: number): boolean {
  if (open === true && value === OPEN) return true;
  return value >= min && value <= max && (choices === undefined || Number.isInteger(value));
}
