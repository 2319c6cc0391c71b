import type { OperationRow } from '../row.js';

/** A cavity where none was, or a relief under a plate. */
export const cutCavity: OperationRow = {
  kind: 'cutCavity',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  markedOut: true,
  station: 'router',
  minutes: ['minutesTrace', 'minutesTemplate', 'minutesSetUp', 'minutesPass'],
  takes: 'deepenTo',
  levels: 'in turn',
};
