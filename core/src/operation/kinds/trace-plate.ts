import { operationRow } from '../row.js';

/** The mounted plate is traced, so that no cut reaches its edge. */
export const tracePlate = operationRow({
  kind: 'tracePlate',
  phase: 'cut',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesTrace'],
  takes: null,
});
