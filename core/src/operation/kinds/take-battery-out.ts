import type { OperationRow } from '../row.js';

/** The battery out. */
export const takeBatteryOut: OperationRow = {
  kind: 'takeBatteryOut',
  phase: 'strip',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  takes: 'batteryOut',
};
