import type { OperationRow } from '../row.js';

/** A hole is made wider, by small steps. */
export const openHole: OperationRow = {
  kind: 'openHole',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'hand drill',
  minutes: ['minutesHole'],
  together: true,
  takes: 'openTo',
};
