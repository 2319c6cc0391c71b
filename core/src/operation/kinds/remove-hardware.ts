import { operationRow } from '../row.js';

/** The part that is there comes out. */
export const removeHardware = operationRow({
  kind: 'removeHardware',
  phase: 'strip',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  takes: 'takeHardwareOut',
});
