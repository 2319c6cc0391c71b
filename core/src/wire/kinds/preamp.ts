import type { PreampElement } from '../circuit.js';
import { nothing, type ElementRow } from './row.js';

/** A preamp as a buffer between its input and its output. */
export const preamp: ElementRow<PreampElement> = {
  kind: 'preamp',
  lugs: ({ charging }) => ['in', 'out', 'ground', 'plus', ...(charging ? ['charge'] : [])],
  joins: nothing,
  branches: ({ gain, inputOhms, sourceOhms }) => [{ kind: 'buffer', input: 'in', output: 'out', ground: 'ground', gain, inputOhms, sourceOhms }],
};
