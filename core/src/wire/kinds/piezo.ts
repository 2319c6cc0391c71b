import type { PiezoElement } from '../circuit.js';
import { needed } from '../element-field.js';
import { electricOf } from '../like-part.js';
import { PIEZO, PIEZO_OFF } from '../values.js';
import { nothing, type ElementRow } from './row.js';

/** A piezo: a capacitance, which a meter for resistance reads as open. */
export const piezo: ElementRow<PiezoElement> = {
  kind: 'piezo',
  roles: ['pickup'],
  lugs: () => ['hot', 'ground'],
  joins: nothing,
  branches: ({ farad }) => [{ kind: 'capacitor', a: 'hot', b: 'ground', farad, piezo: true }],
  begin: (of) => ({ ...of, kind: 'piezo', farad: PIEZO }),
  fields: (e) => [needed('farad', 'F', PIEZO_OFF.value, e.farad, (farad) => ({ ...e, farad }), { likely: 'capacitor' })],
  parts: ['piezo'],
  like: (e, part) => ({ ...e, part: part.id, farad: electricOf(part, 'farad', PIEZO_OFF.value) ?? e.farad }),
};
