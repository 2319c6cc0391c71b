import type { OperationRow } from '../row.js';

/** The real part is tried before anything goes on. */
export const testFit: OperationRow = {
  kind: 'testFit',
  phase: 'fit in bare wood',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesTestFit'],
  takes: null,
  byHand: true,
};
