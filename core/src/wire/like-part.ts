import type { Dimension } from '../measure/index.js';
import { isPickup, type ElectricId, type Part } from '../part/index.js';
import { onSheet } from './values.js';

/** By which share a part is off its mark: as its sheet says, or as its kind usually is. */
export function offOf(part: Part, usual: number): number {
  const tolerance = isPickup(part) ? undefined : part.electric?.tolerance;
  return tolerance === undefined ? usual : tolerance / 100;
}

/** A value that a part is marked with, off by a share of it; null: the part does not say. */
export function electricOf(part: Part, id: ElectricId, off: number): Dimension | null {
  const value = isPickup(part) ? undefined : part.electric?.[id];
  return value === undefined ? null : onSheet(part.id, value, offOf(part, off));
}
