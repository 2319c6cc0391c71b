import { range, type PartRow } from '../part-row.js';

/** A battery. */
export const battery: PartRow = {
  kind: 'battery',
  group: 'electronics',
  sizes: { length: range(48, 49), bodyWidth: range(26, 27), thickness: range(16, 17.5) },
  electric: ['volt'],
  ordinary: true,
  goes: {},
  wired: true,
};
