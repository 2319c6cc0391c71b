import type { OperationRow } from '../row.js';

/** Another cover on a pickup: the old one is kept. */
export const changeCover: OperationRow = {
  kind: 'changeCover',
  phase: 'fit in bare wood',
  undo: 'yes',
  station: 'iron',
  minutes: ['minutesSwap'],
  takes: 'coverChanged',
};
