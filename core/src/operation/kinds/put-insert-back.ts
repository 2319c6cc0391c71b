import type { OperationRow } from '../row.js';

/** The insert of a window goes back. */
export const putInsertBack: OperationRow = {
  kind: 'putInsertBack',
  phase: 'fit in bare wood',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  takes: null,
};
