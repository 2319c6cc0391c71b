import type { OperationRow } from '../row.js';

/** The mounted plate is traced, so that no cut reaches its edge. */
export const tracePlate: OperationRow = {
  kind: 'tracePlate',
  phase: 'cut',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesTrace'],
  takes: null,
  byHand: true,
};
