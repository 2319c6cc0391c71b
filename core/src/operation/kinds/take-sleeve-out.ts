import type { OperationRow } from '../row.js';

/** A sleeve comes out again. */
export const takeSleeveOut: OperationRow = {
  kind: 'takeSleeveOut',
  phase: 'strip',
  undo: 'yes',
  station: 'hand drill',
  minutes: ['minutesSetUp'],
  together: true,
  takes: null,
};
