import type { CapacitorElement } from '../circuit.js';
import { nothing, type ElementRow } from './row.js';

/** A capacitor; one that leaks lets direct current through. */
export const capacitor: ElementRow<CapacitorElement> = {
  kind: 'capacitor',
  lugs: () => ['1', '2'],
  joins: nothing,
  branches: ({ farad, leak }) => [
    { kind: 'capacitor', a: '1', b: '2', farad, piezo: false },
    ...(leak ? [{ kind: 'resistor' as const, a: '1', b: '2', ohms: leak }] : []),
  ],
};
