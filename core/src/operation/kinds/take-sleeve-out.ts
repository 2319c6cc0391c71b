import { operationRow } from '../row.js';

/** A sleeve comes out again. */
export const takeSleeveOut = operationRow({
  kind: 'takeSleeveOut',
  phase: 'strip',
  undo: 'yes',
  station: 'hand drill',
  minutes: ['minutesSetUp'],
  takes: null,
});
