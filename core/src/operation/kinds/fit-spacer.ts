import type { OperationRow } from '../row.js';

/** A spacer under a cover or a pickup. */
export const fitSpacer: OperationRow = {
  kind: 'fitSpacer',
  phase: 'fit in bare wood',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesTrace'],
  takes: 'setSpacer',
};
