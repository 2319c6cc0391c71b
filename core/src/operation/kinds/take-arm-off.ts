import type { OperationRow } from '../row.js';

/** The tremolo arm off. */
export const takeArmOff: OperationRow = {
  kind: 'takeArmOff',
  phase: 'strip',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  takes: 'armOff',
};
