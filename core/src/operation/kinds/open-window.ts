import type { OperationRow } from '../row.js';

/** A window is filed wider. */
export const openWindow: OperationRow = {
  kind: 'openWindow',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'plate',
  station: 'vice',
  minutes: ['minutesTrace'],
  takes: 'fileWindow',
};
