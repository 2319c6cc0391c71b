import type { OperationRow } from '../row.js';

/** The template is laid on the traced lines. */
export const fixTemplate: OperationRow = {
  kind: 'fixTemplate',
  phase: 'cut',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesTemplate'],
  takes: null,
  byHand: true,
};
