import type { BlockElement } from '../circuit.js';
import { nothing, type ElementRow } from './row.js';

const rowsOf = (rows: number): readonly (readonly [string, string])[] => Array.from({ length: rows }, (_, i) => [`${i + 1} in`, `${i + 1} out`]);

/** A terminal block or a plug in its socket: row by row. */
export const block: ElementRow<BlockElement> = {
  kind: 'block',
  lugs: ({ rows }) => rowsOf(rows).flat(),
  joins: ({ rows }) => rowsOf(rows),
  branches: nothing,
};
