import { operationRow } from '../row.js';

/** The insert of a window goes back. */
export const putInsertBack = operationRow({
  kind: 'putInsertBack',
  phase: 'fit in bare wood',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  takes: null,
});
