import { operationRow } from '../row.js';

/** Floors are cut deeper. */
export const deepenRoute = operationRow({
  kind: 'deepenRoute',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'router',
  minutes: ['minutesSetUp', 'minutesPass'],
  takes: 'deepenTo',
  levels: 'in turn',
});
