import { range, type PartRow } from '../part-row.js';

/** A ring round a pickup. */
export const ring: PartRow = {
  kind: 'ring',
  group: 'plates',
  sizes: { thickness: range(3, 12), thicknessEnd: null, archRadius: null },
  shaped: true,
  traits: { form: ['flat', 'arched', 'tapered'] },
  goes: { plates: ['ring', 'other'] },
};
