import { type PartRow } from '../part-row.js';

/** A screw with a thread of its own. */
export const machineScrew: PartRow = {
  kind: 'machine screw',
  group: 'screws',
  sizes: { diameter: null, length: null, head: null },
  threads: ['3-48', '4-40', '6-32', '8-32', '10-32', 'M2.5', 'M3', 'M3.5', 'M4', 'M5', 'M6'],
  traits: { headForm: ['countersunk', 'oval', 'round'] },
  goes: { holes: ['screw'], plateScrews: true },
  ordinary: true,
};
