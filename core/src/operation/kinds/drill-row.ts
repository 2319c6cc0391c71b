import { operationRow } from '../row.js';

/** Holes in a row, by one template. */
export const drillRow = operationRow({
  kind: 'drillRow',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'drill press',
  minutes: ['minutesTemplate', 'minutesHole'],
  takes: 'drillRowTo',
});
