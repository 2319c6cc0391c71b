import { BY_HAND } from '../own-work.js';
import type { OperationRow } from '../row.js';

/** Work that somebody put in on a line: its stage and its minutes are its own. */
export const byHand: OperationRow = { kind: BY_HAND, phase: 'set up', undo: 'yes', station: 'bench', minutes: [], takes: null, byHand: true };
