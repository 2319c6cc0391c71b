import type { OperationRow } from '../row.js';

/** A channel from cavity to cavity. */
export const cutChannel: OperationRow = {
  kind: 'cutChannel',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  markedOut: true,
  station: 'router',
  minutes: ['minutesTrace', 'minutesSetUp', 'minutesPass'],
  takes: 'deepenTo',
  levels: 'in turn',
};
