import type { OperationRow } from '../row.js';

/** What lay over the work goes back. */
export const putPartBack: OperationRow = {
  kind: 'putPartBack',
  phase: 'assemble',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  takes: 'coveringOn',
};
