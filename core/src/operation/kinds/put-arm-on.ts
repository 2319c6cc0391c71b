import type { OperationRow } from '../row.js';

/** The tremolo arm on again. */
export const putArmOn: OperationRow = {
  kind: 'putArmOn',
  phase: 'set up',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  takes: 'armOn',
};
