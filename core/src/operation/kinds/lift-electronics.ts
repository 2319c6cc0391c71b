import type { OperationRow } from '../row.js';

/** What is soldered in is lifted out of its cavity. */
export const liftElectronics: OperationRow = {
  kind: 'liftElectronics',
  phase: 'strip',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesElectronics'],
  takes: 'liftOut',
};
