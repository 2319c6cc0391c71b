import type { OperationRow } from '../row.js';

/** Strings on and to pitch. */
export const stringUp: OperationRow = {
  kind: 'stringUp',
  phase: 'string',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesStrings'],
  takes: 'tuneUp',
};
