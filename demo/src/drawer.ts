import { roundedRectangle, stadium } from '@rinnovo/core/shape';
import type { KeepOutline } from '@rinnovo/contract';
import { ids } from './ids.js';

const WINDOW = `<svg xmlns="http://www.w3.org/2000/svg" width="70mm" height="39mm" viewBox="0 0 70 39"><rect width="70" height="39" rx="3.5"/></svg>`;

/** Templates of this workshop: one traced, two cut to sizes. */
export const drawer: readonly (KeepOutline & { readonly id: string; readonly person: string })[] = [
  {
    id: ids.outline(1),
    person: ids.ada,
    name: 'Wide window, traced',
    outline: roundedRectangle(70, 39, 3.5),
    limit: 0.1,
    source: { file: 'wide-window.svg', kind: 'svg', text: WINDOW },
  },
  { id: ids.outline(2), person: ids.ben, name: 'Ring, two-coil', outline: roundedRectangle(90, 45, 5), limit: 0.25, source: null },
  { id: ids.outline(3), person: ids.ada, name: 'Lever slot', outline: stadium(26, 2.2), limit: 0.25, source: null },
];
