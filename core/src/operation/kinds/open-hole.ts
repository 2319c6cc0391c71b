import { operationRow } from '../row.js';

/** A hole is made wider, by small steps. */
export const openHole = operationRow({
  kind: 'openHole',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'hand drill',
  minutes: ['minutesHole'],
  takes: 'openTo',
});
