import type { AnyQuantity } from './catalogue.js';
import { OPEN } from './open-circuit.js';

/** Can a value be one of a quantity: within its range, of an answer a whole number, of what a meter reads also open? */
export function canBe({ min, max, choices, open }: AnyQuantity, value: number): boolean {
  if (open === true && value === OPEN) return true;
  return value >= min && value <= max && (choices === undefined || Number.isInteger(value));
}
