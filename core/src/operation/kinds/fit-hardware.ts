import { operationRow } from '../row.js';

/** The part goes in. */
export const fitHardware = operationRow({
  kind: 'fitHardware',
  phase: 'assemble',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesTestFit'],
  takes: 'fitHardware',
});
