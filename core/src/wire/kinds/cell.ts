import type { CellElement } from '../circuit.js';
import { needed } from '../element-field.js';
import { electricOf } from '../like-part.js';
import { CELL, CELL_OFF } from '../values.js';
import { nothing, type ElementRow } from './row.js';

/** A cell: it feeds a preamp and carries no signal; its minus is where the current comes back. */
export const cell: ElementRow<CellElement> = {
  kind: 'cell',
  roles: ['cell'],
  lugs: () => ['plus', 'minus'],
  joins: nothing,
  branches: nothing,
  begin: (of) => ({ ...of, kind: 'cell', volt: CELL }),
  fields: (e) => [needed('volt', 'V', CELL_OFF.value, e.volt, (volt) => ({ ...e, volt }), { likely: 'cell' })],
  parts: ['battery'],
  like: (e, part) => ({ ...e, part: part.id, volt: electricOf(part, 'volt', CELL_OFF.value) ?? e.volt }),
};
