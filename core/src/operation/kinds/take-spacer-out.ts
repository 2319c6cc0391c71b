import { operationRow } from '../row.js';

/** A spacer comes out again. */
export const takeSpacerOut = operationRow({
  kind: 'takeSpacerOut',
  phase: 'strip',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  takes: null,
});
