import type { PiezoElement } from '../circuit.js';
import { nothing, type ElementRow } from './row.js';

/** A piezo: a capacitance, which a meter for resistance reads as open. */
export const piezo: ElementRow<PiezoElement> = {
  kind: 'piezo',
  lugs: () => ['hot', 'ground'],
  joins: nothing,
  branches: ({ farad }) => [{ kind: 'capacitor', a: 'hot', b: 'ground', farad, piezo: true }],
};
