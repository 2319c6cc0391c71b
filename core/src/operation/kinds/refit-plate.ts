import type { OperationRow } from '../row.js';

/** The old plate goes back. */
export const refitPlate: OperationRow = {
  kind: 'refitPlate',
  phase: 'assemble',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesTestFit'],
  takes: null,
};
