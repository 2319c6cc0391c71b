import type { OperationRow } from '../row.js';

/** A hole is closed with a dowel. */
export const plugHole: OperationRow = {
  kind: 'plugHole',
  phase: 'fill',
  undo: 'no',
  takesFrom: 'wood',
  station: 'hand drill',
  minutes: ['minutesPlug'],
  together: true,
  takes: 'gluePlug',
};
