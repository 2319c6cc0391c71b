import type { OperationRow } from '../row.js';

/** Holes in a row, by one template. */
export const drillRow: OperationRow = {
  kind: 'drillRow',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  markedOut: true,
  station: 'drill press',
  minutes: ['minutesTemplate', 'minutesHole'],
  takes: 'drillRowTo',
};
