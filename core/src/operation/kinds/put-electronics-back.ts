import type { OperationRow } from '../row.js';

/** What was lifted out goes back. */
export const putElectronicsBack: OperationRow = {
  kind: 'putElectronicsBack',
  phase: 'assemble',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesElectronics'],
  takes: 'layBack',
};
