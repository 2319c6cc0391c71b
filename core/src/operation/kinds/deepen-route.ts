import type { OperationRow } from '../row.js';

/** Floors are cut deeper. */
export const deepenRoute: OperationRow = {
  kind: 'deepenRoute',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'router',
  minutes: ['minutesSetUp', 'minutesPass'],
  takes: 'deepenTo',
  levels: 'in turn',
};
