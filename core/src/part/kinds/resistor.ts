import { range, type PartRow } from '../part-row.js';

/** A resistor. */
export const resistor: PartRow = {
  kind: 'resistor',
  group: 'electronics',
  sizes: { length: range(4, 12), diameter: range(1.5, 5) },
  electric: ['ohms', 'tolerance'],
  ordinary: true,
  goes: {},
  wired: true,
};
