import type { OperationRow } from '../row.js';

/** The bulk of a route is bored out. */
export const boreBulk: OperationRow = {
  kind: 'boreBulk',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'drill press',
  minutes: ['minutesBore'],
  takes: 'bore',
  levels: 'together',
};
