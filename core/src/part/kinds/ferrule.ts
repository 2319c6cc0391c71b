import { range, type PartRow } from '../part-row.js';

/** A ferrule for a string. */
export const ferrule: PartRow = {
  kind: 'ferrule',
  group: 'bushes',
  sizes: { outer: range(8, 9.6), flange: range(10, 12), length: null, stringHole: null },
  traits: { surface: ['smooth', 'knurled'] },
  goes: { holes: ['string'] },
  press: { size: 'outer', knurls: true },
};
