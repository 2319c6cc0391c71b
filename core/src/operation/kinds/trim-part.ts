import type { OperationRow } from '../row.js';

/** The part itself is cut shorter or narrower: it cannot be returned. */
export const trimPart: OperationRow = {
  kind: 'trimPart',
  phase: 'fit in bare wood',
  undo: 'part',
  takesFrom: 'part',
  station: 'vice',
  minutes: ['minutesSetUp'],
  takes: 'cutDown',
};
