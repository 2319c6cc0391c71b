import type { OperationRow } from '../row.js';

/** A sleeve narrows a hole; it comes out again. */
export const fitSleeve: OperationRow = {
  kind: 'fitSleeve',
  phase: 'fit in bare wood',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  together: true,
  takes: 'pressSleeve',
};
