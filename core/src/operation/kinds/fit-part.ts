import { operationRow } from '../row.js';

/** The pickup goes in and is soldered. */
export const fitPart = operationRow({
  kind: 'fitPart',
  phase: 'assemble',
  undo: 'yes',
  station: 'iron',
  minutes: ['minutesSwap'],
  takes: 'fit',
});
