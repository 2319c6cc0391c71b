import { range, type PartRow } from '../part-row.js';

/** A bush that takes a stud or a screw. */
export const bush: PartRow = {
  kind: 'bush',
  group: 'bushes',
  sizes: { outer: range(11, 12.7), flange: null, length: null },
  threads: ['M8 × 1.25', '5/16-24', 'M4', 'M5', '6-32'],
  traits: { surface: ['smooth', 'knurled'] },
  goes: { holes: ['stud'] },
  takes: ['stud'],
  press: { size: 'outer', knurls: true },
};
