import type { OperationRow } from '../row.js';

/** Strings off. */
export const takeStringsOff: OperationRow = {
  kind: 'takeStringsOff',
  phase: 'strip',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesStrings'],
  takes: 'takeStringsOff',
};
