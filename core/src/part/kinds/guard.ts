import { range, type PartRow } from '../part-row.js';

/** A guard over the top. */
export const guard: PartRow = {
  kind: 'guard',
  group: 'plates',
  sizes: { thickness: range(1.5, 2.5) },
  shaped: true,
  traits: { form: ['flat', 'arched', 'tapered'] },
  goes: { plates: ['plate', 'guard', 'other'] },
};
