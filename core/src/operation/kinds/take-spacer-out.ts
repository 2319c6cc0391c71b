import type { OperationRow } from '../row.js';

/** A spacer comes out again. */
export const takeSpacerOut: OperationRow = {
  kind: 'takeSpacerOut',
  phase: 'strip',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  takes: null,
};
