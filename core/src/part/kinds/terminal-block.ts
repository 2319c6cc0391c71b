import type { PartRow } from '../part-row.js';

/** Lugs that are joined row by row. */
export const terminalBlock: PartRow = {
  kind: 'terminal block',
  group: 'electronics',
  sizes: { length: null, bodyWidth: null, thickness: null },
  electric: ['rows'],
  goes: {},
  wired: true,
};
