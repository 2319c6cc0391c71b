import { cavityAt, type HardwareChoice } from '../check/index.js';
import type { Anatomy } from '../instrument/index.js';

/** Is a choice for the screw of a plate that has the neck's pocket behind it: does it hold the neck? */
export function holdsNeck(anatomy: Anatomy, { place }: HardwareChoice): boolean {
  if (place.on !== 'feature' || place.screw === undefined) return false;
  const plate = anatomy.plates.find((p) => p.id === place.feature);
  const at = plate?.screws[place.screw];
  return plate !== undefined && at !== undefined && cavityAt(anatomy, plate.face, at)?.kind === 'neck pocket';
}
