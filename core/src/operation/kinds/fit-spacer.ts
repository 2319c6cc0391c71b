import { operationRow } from '../row.js';

/** A spacer under a cover or a pickup. */
export const fitSpacer = operationRow({
  kind: 'fitSpacer',
  phase: 'fit in bare wood',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesTrace'],
  takes: 'setSpacer',
});
