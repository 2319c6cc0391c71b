import type { ResistorElement } from '../circuit.js';
import { nothing, type ElementRow } from './row.js';

/** A resistor. */
export const resistor: ElementRow<ResistorElement> = {
  kind: 'resistor',
  lugs: () => ['1', '2'],
  joins: nothing,
  branches: ({ ohms }) => [{ kind: 'resistor', a: '1', b: '2', ohms }],
};
