import { operationRow } from '../row.js';

/** A new pickup is metered before anything is done for it. */
export const meterPart = operationRow({
  kind: 'meterPart',
  phase: 'survey',
  undo: 'yes',
  station: 'bench',
  minutes: ['minutesSetUp'],
  takes: null,
});
