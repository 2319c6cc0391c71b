import { range, type PartRow } from '../part-row.js';

/** A wire. */
export const wire: PartRow = {
  kind: 'wire',
  group: 'wires',
  sizes: { diameter: range(1.2, 1.8) },
  goes: { holes: ['wire'] },
  ordinary: true,
  reeled: true,
};
