import type { ResistorElement } from '../circuit.js';
import { needed } from '../element-field.js';
import { electricOf } from '../like-part.js';
import { markedResistor, RESISTOR_OFF, USUAL_BLEED } from '../values.js';
import { nothing, type ElementRow } from './row.js';

/** A resistor. */
export const resistor: ElementRow<ResistorElement> = {
  kind: 'resistor',
  roles: ['bleed', 'split resistor', 'other'],
  lugs: () => ['1', '2'],
  joins: nothing,
  branches: ({ ohms }) => [{ kind: 'resistor', a: '1', b: '2', ohms }],
  begin: (of) => ({ ...of, kind: 'resistor', ohms: markedResistor(USUAL_BLEED.parallel[1]) }),
  fields: (e) => [needed('ohms', 'Ω', RESISTOR_OFF.value, e.ohms, (ohms) => ({ ...e, ohms }), { likely: 'resistor' })],
  parts: ['resistor'],
  like: (e, part) => ({ ...e, part: part.id, ohms: electricOf(part, 'ohms', RESISTOR_OFF.value) ?? e.ohms }),
};
