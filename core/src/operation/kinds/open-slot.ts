import type { OperationRow } from '../row.js';

/** A slot is filed longer or wider. */
export const openSlot: OperationRow = {
  kind: 'openSlot',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'vice',
  minutes: ['minutesTrace'],
  takes: 'openSlotTo',
};
