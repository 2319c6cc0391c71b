import type { MetalElement } from '../circuit.js';
import { nothing, type ElementRow } from './row.js';

/** A metal part that is to be at ground. */
export const metal: ElementRow<MetalElement> = {
  kind: 'metal',
  roles: ['string ground', 'other'],
  lugs: () => ['metal'],
  joins: nothing,
  branches: nothing,
  begin: (of) => ({ ...of, kind: 'metal' }),
  fields: nothing,
  parts: [],
  like: (e) => e,
};
