import { range, type PartRow } from '../part-row.js';

/** A capacitor, of a tone or a bleed. */
export const capacitor: PartRow = {
  kind: 'capacitor',
  group: 'electronics',
  sizes: { length: range(4, 20), thickness: range(2, 10) },
  electric: ['farad', 'tolerance'],
  ordinary: true,
  goes: {},
  wired: true,
};
