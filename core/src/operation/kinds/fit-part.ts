import type { OperationRow } from '../row.js';

/** The pickup goes in and is soldered. */
export const fitPart: OperationRow = {
  kind: 'fitPart',
  phase: 'assemble',
  undo: 'yes',
  station: 'iron',
  minutes: ['minutesSwap'],
  takes: 'fit',
};
