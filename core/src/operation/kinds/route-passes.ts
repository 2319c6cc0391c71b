import { operationRow } from '../row.js';

/** A route is cut to its template, in passes; the passes and their set-ups count one by one. */
export const routePasses = operationRow({
  kind: 'routePasses',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'router',
  minutes: [],
  takes: 'cut',
  levels: 'together',
});
