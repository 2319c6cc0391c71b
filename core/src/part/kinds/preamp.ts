import type { PartRow } from '../part-row.js';

/** A preamp on its board. */
export const preamp: PartRow = {
  kind: 'preamp',
  group: 'electronics',
  sizes: { length: null, bodyWidth: null, thickness: null },
  electric: ['gain', 'sourceOhms', 'inputOhms', 'supply'],
  traits: { charging: ['no port', 'port'] },
  goes: {},
  wired: true,
};
