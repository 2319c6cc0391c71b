import { operationRow } from '../row.js';

/** A slot is filed longer or wider. */
export const openSlot = operationRow({
  kind: 'openSlot',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'vice',
  minutes: ['minutesTrace'],
  takes: 'openSlotTo',
});
