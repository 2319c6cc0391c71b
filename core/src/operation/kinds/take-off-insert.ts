import { operationRow } from '../row.js';

/** The insert of a window comes off. */
export const takeOffInsert = operationRow({
  kind: 'takeOffInsert',
  phase: 'strip',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  takes: 'takePlateOff',
});
