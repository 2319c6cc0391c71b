import type { OperationRow } from '../row.js';

/** The battery in again. */
export const putBatteryIn: OperationRow = {
  kind: 'putBatteryIn',
  phase: 'set up',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  takes: 'batteryIn',
};
