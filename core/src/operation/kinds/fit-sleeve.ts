import { operationRow } from '../row.js';

/** A sleeve narrows a hole; it comes out again. */
export const fitSleeve = operationRow({
  kind: 'fitSleeve',
  phase: 'fit in bare wood',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  takes: 'pressSleeve',
});
