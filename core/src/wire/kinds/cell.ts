import type { CellElement } from '../circuit.js';
import { nothing, type ElementRow } from './row.js';

/** A cell: it feeds a preamp and carries no signal; its minus is where the current comes back. */
export const cell: ElementRow<CellElement> = { kind: 'cell', lugs: () => ['plus', 'minus'], joins: nothing, branches: nothing };
