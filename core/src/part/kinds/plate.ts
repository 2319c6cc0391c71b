import { about, type PartRow } from '../part-row.js';

/** A control or jack plate. */
export const plate: PartRow = {
  kind: 'plate',
  group: 'plates',
  sizes: { thickness: about(1.6, 0.5) },
  shaped: true,
  traits: { form: ['flat', 'arched', 'tapered'] },
  goes: { plates: ['plate', 'guard', 'other'] },
};
