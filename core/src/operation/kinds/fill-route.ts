import type { OperationRow } from '../row.js';

/** What was found of a route is filled with wood. */
export const fillRoute: OperationRow = {
  kind: 'fillRoute',
  phase: 'fill',
  undo: 'no',
  takesFrom: 'wood',
  station: 'bench',
  minutes: ['minutesFill'],
  takes: 'fillIn',
};
