import type { PartRow } from '../part-row.js';

/** A piezo under a saddle or a bridge. */
export const piezo: PartRow = {
  kind: 'piezo',
  group: 'electronics',
  sizes: { length: null, bodyWidth: null, thickness: null },
  electric: ['farad'],
  goes: {},
  wired: true,
};
