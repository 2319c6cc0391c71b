import type { OperationRow } from '../row.js';

/** What is a little loose in its bore is held by a drop of thin glue; warmth lets it go again. */
export const glueIn: OperationRow = {
  kind: 'glueIn',
  phase: 'fit in bare wood',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  together: true,
  takes: 'wickGlue',
};
