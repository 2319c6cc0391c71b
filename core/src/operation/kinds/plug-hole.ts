import { operationRow } from '../row.js';

/** A hole is closed with a dowel. */
export const plugHole = operationRow({
  kind: 'plugHole',
  phase: 'fill',
  undo: 'no',
  takesFrom: 'wood',
  station: 'hand drill',
  minutes: ['minutesPlug'],
  takes: 'gluePlug',
});
