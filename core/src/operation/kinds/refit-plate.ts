import { operationRow } from '../row.js';

/** The old plate goes back. */
export const refitPlate = operationRow({
  kind: 'refitPlate',
  phase: 'assemble',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesTestFit'],
  takes: null,
});
