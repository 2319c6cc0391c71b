import { operationRow } from '../row.js';

/** The bulk of a route is bored out. */
export const boreBulk = operationRow({
  kind: 'boreBulk',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'drill press',
  minutes: ['minutesBore'],
  takes: 'bore',
  levels: 'together',
});
