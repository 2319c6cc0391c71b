import type { OperationRow } from '../row.js';

/** The part goes in. */
export const fitHardware: OperationRow = {
  kind: 'fitHardware',
  phase: 'assemble',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesTestFit'],
  together: true,
  takes: 'fitHardware',
};
