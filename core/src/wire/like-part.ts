import type { Dimension } from '../measure/index.js';
import { isPickup, type ElectricId, type Part } from '../part/index.js';
import { onSheet } from './values.js';

/** A value that a part is marked with, off by a share of it; null: the part does not say. */
export function electricOf(part: Part, id: ElectricId, off = 0): Dimension | null {
  const value = isPickup(part) ? undefined : part.electric?.[id];
  return value === undefined ? null : onSheet(part.id, value, off);
}
