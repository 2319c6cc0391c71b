import type { OperationRow } from '../row.js';

/** A new pickup is metered before anything is done for it. */
export const meterPart: OperationRow = {
  kind: 'meterPart',
  phase: 'survey',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  takes: null,
  byHand: true,
};
