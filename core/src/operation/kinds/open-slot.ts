import { operationRow } from '../row.js';

/** A slot is filed longer or wider. */
export const openSlot = operationRow({
  kind: 'openSlot',
  phase: 'cut',
  undo: 'no',
  station: 'vice',
  minutes: ['minutesTrace'],
  takes: 'openSlotTo',
});
