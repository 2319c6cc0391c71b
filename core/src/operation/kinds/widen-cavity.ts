import type { OperationRow } from '../row.js';

/** A cavity is widened round a part. */
export const widenCavity: OperationRow = {
  kind: 'widenCavity',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'router',
  minutes: ['minutesTrace', 'minutesSetUp', 'minutesPass'],
  takes: 'widenTo',
};
