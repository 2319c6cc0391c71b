import { operationRow } from '../row.js';

/** A bore goes deeper. */
export const deepenBore = operationRow({
  kind: 'deepenBore',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'hand drill',
  minutes: ['minutesHole'],
  takes: 'boreDeeper',
});
