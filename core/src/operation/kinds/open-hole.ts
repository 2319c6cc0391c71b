import { operationRow } from '../row.js';

/** A hole is made wider, by small steps. */
export const openHole = operationRow({
  kind: 'openHole',
  phase: 'cut',
  undo: 'no',
  station: 'hand drill',
  minutes: ['minutesHole'],
  takes: 'openTo',
});
