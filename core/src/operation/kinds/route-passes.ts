import type { OperationRow } from '../row.js';

/** A route is cut to its template, in passes; the passes and their set-ups count one by one. */
export const routePasses: OperationRow = {
  kind: 'routePasses',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'router',
  minutes: [],
  takes: 'cut',
  levels: 'together',
};
