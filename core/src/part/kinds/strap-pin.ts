import { range, type PartRow } from '../part-row.js';

/** A strap pin with its screw. */
export const strapPin: PartRow = {
  kind: 'strap pin',
  group: 'screws',
  sizes: { diameter: range(4.16, 4.83), length: range(25, 32), head: null, flange: null },
  gauge: true,
  goes: { holes: ['screw', 'other'] },
  ordinary: true,
  holdsInWood: 'minHoldStrap',
};
