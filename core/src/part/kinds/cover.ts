import { about, type PartRow } from '../part-row.js';

/** A cover over a cavity. */
export const cover: PartRow = {
  kind: 'cover',
  group: 'plates',
  sizes: { thickness: about(2, 0.5), depthBelow: null },
  shaped: true,
  traits: { form: ['flat', 'arched', 'tapered'] },
  goes: { plates: ['plate', 'other'] },
};
