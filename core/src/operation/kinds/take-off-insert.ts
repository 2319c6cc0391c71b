import type { OperationRow } from '../row.js';

/** The insert of a window comes off. */
export const takeOffInsert: OperationRow = {
  kind: 'takeOffInsert',
  phase: 'strip',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  takes: 'takePlateOff',
};
