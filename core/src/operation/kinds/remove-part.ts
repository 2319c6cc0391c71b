import type { OperationRow } from '../row.js';

/** The pickup that is there comes out. */
export const removePart: OperationRow = {
  kind: 'removePart',
  phase: 'strip',
  undo: 'yes',
  station: 'iron',
  minutes: ['minutesSwap'],
  takes: 'takeOut',
};
