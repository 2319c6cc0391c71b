import { range, type PartRow } from '../part-row.js';

/** A jack that carries the strap. */
export const endPinJack: PartRow = {
  kind: 'end-pin jack',
  group: 'jacks',
  sizes: { bushing: range(11.9, 12.6), threadLength: null, washer: null, length: null, plugInside: range(30, 32) },
  goes: { holes: ['jack', 'other'] },
  wired: true,
  plugged: true,
};
