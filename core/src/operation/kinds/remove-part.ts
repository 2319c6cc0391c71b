import { operationRow } from '../row.js';

/** The pickup that is there comes out. */
export const removePart = operationRow({
  kind: 'removePart',
  phase: 'strip',
  undo: 'yes',
  station: 'iron',
  minutes: ['minutesSwap'],
  takes: 'takeOut',
});
