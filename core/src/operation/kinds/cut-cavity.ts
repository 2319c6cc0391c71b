import { operationRow } from '../row.js';

/** A cavity where none was, or a relief under a plate. */
export const cutCavity = operationRow({
  kind: 'cutCavity',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'router',
  minutes: ['minutesTrace', 'minutesTemplate', 'minutesSetUp', 'minutesPass'],
  takes: 'deepenTo',
  levels: 'in turn',
});
