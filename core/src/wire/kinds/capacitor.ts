import type { CapacitorElement } from '../circuit.js';
import { needed, possible } from '../element-field.js';
import { electricOf } from '../like-part.js';
import { CAPACITOR_OFF, markedCapacitor } from '../values.js';
import { nothing, type ElementRow } from './row.js';

/** A capacitor; one that leaks lets direct current through. */
export const capacitor: ElementRow<CapacitorElement> = {
  kind: 'capacitor',
  roles: ['tone capacitor', 'bleed', 'other'],
  lugs: () => ['1', '2'],
  joins: nothing,
  branches: ({ farad, leak }) => [
    { kind: 'capacitor', a: '1', b: '2', farad, piezo: false },
    ...(leak ? [{ kind: 'resistor' as const, a: '1', b: '2', ohms: leak }] : []),
  ],
  begin: (of) => ({ ...of, kind: 'capacitor', farad: markedCapacitor(22e-9), leak: null }),
  fields: (e) => [
    needed('farad', 'F', CAPACITOR_OFF.value, e.farad, (farad) => ({ ...e, farad }), { likely: 'capacitor' }),
    possible('leak', 'Ω', CAPACITOR_OFF.value, e.leak, (leak) => ({ ...e, leak })),
  ],
  parts: ['capacitor'],
  like: (e, part) => ({ ...e, part: part.id, farad: electricOf(part, 'farad', CAPACITOR_OFF.value) ?? e.farad }),
};
