import { type PartRow } from '../part-row.js';

/** A wood screw. */
export const woodScrew: PartRow = {
  kind: 'wood screw',
  group: 'screws',
  sizes: { diameter: null, length: null, head: null },
  gauge: true,
  traits: { headForm: ['countersunk', 'oval', 'round'] },
  goes: { holes: ['screw'], plateScrews: true },
  ordinary: true,
  holdsInWood: 'minHold',
};
