import { operationRow } from '../row.js';

/** A channel from cavity to cavity. */
export const cutChannel = operationRow({
  kind: 'cutChannel',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'router',
  minutes: ['minutesTrace', 'minutesSetUp', 'minutesPass'],
  takes: 'deepenTo',
  levels: 'in turn',
});
