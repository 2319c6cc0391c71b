import type { OperationRow } from '../row.js';

/** A plate is made anew; the old one is kept. */
export const makePlate: OperationRow = {
  kind: 'makePlate',
  phase: 'fit in bare wood',
  undo: 'yes',
  station: 'router',
  minutes: ['minutesPlate'],
  takes: null,
};
