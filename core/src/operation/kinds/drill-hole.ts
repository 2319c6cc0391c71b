import type { OperationRow } from '../row.js';

/** A new hole, or one that is drilled again in its plug. */
export const drillHole: OperationRow = {
  kind: 'drillHole',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'hand drill',
  minutes: ['minutesHole'],
  together: true,
  takes: 'drillNew',
};
