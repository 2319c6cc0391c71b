import { about, type PartRow } from '../part-row.js';

/** A stud of a bridge or a tailpiece. */
export const stud: PartRow = {
  kind: 'stud',
  group: 'bushes',
  sizes: { diameter: about(8, 0.1), length: null, head: null },
  threads: ['M8 × 1.25', '5/16-24'],
  goes: { holes: ['stud'] },
};
