import type { OperationRow } from '../row.js';

/** The part that is there comes out. */
export const removeHardware: OperationRow = {
  kind: 'removeHardware',
  phase: 'strip',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  together: true,
  takes: 'takeHardwareOut',
};
