import type { OperationRow } from '../row.js';

/** Strings slack. */
export const slackenStrings: OperationRow = {
  kind: 'slackenStrings',
  phase: 'strip',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  takes: 'slackenStrings',
};
