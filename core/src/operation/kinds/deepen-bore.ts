import type { OperationRow } from '../row.js';

/** A bore goes deeper. */
export const deepenBore: OperationRow = {
  kind: 'deepenBore',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'hand drill',
  minutes: ['minutesHole'],
  together: true,
  takes: 'boreDeeper',
};
