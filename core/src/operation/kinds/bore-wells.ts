import type { OperationRow } from '../row.js';

/** Wells for height screws, in the finished floor. */
export const boreWells: OperationRow = {
  kind: 'boreWells',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'drill press',
  minutes: ['minutesWells'],
  takes: 'bore',
  levels: 'in turn',
};
