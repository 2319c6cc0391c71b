import type { OperationRow } from '../row.js';

/** What lies over the work comes off. */
export const takePartOff: OperationRow = {
  kind: 'takePartOff',
  phase: 'strip',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  takes: 'coveringOff',
};
