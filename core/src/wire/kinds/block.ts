import { constant } from '../../measure/index.js';
import { electricOf } from '../like-part.js';
import type { BlockElement } from '../circuit.js';
import { either, needed } from '../element-field.js';
import { nothing, type ElementRow } from './row.js';

/** Most rows of one block [memory]. */
const MOST_ROWS = constant(24, 'memory', 'Active parts');

const rowsOf = (rows: number): readonly (readonly [string, string])[] => Array.from({ length: rows }, (_, i) => [`${i + 1} in`, `${i + 1} out`]);
const whole = (rows: number): number => Math.min(MOST_ROWS.value, Math.max(1, Math.round(rows)));

/** A terminal block or a plug in its socket: row by row. */
export const block: ElementRow<BlockElement> = {
  kind: 'block',
  roles: ['block'],
  lugs: ({ rows }) => rowsOf(rows).flat(),
  joins: ({ rows }) => rowsOf(rows),
  branches: nothing,
  begin: (of) => ({ ...of, kind: 'block', rows: 3, plugs: false }),
  fields: (e) => [
    needed('rows', 'count', 0, { value: e.rows, limit: 0, basis: { kind: 'stated' } }, (d) => ({ ...e, rows: whole(d.value) })),
    either('plugs', ['screwed or soldered', 'plug and socket'], e.plugs, (plugs) => ({ ...e, plugs })),
  ],
  parts: ['terminal block', 'plug-in harness'],
  like: (e, part) => ({ ...e, part: part.id, plugs: part.kind === 'plug-in harness', rows: electricOf(part, 'rows', 0)?.value ?? e.rows }),
};
