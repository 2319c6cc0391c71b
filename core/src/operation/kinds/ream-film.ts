import type { OperationRow } from '../row.js';

/** The finish in a hole is reamed out, down to the wood: no wood goes, and no film comes back. */
export const reamFilm: OperationRow = {
  kind: 'reamFilm',
  phase: 'cut',
  undo: 'no',
  station: 'hand drill',
  minutes: ['minutesHole'],
  together: true,
  takes: 'reamTo',
};
