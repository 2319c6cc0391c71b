import { takenFor } from '../moves.js';
import { usualMinutes, type PlanRow } from '../plan-row.js';

/** The part leaves the drawer; one that goes back to its place lies on the bench. */
export const fitHardware: PlanRow = {
  kind: 'fitHardware',
  plan: (_, { rows, state, choice }) => ({ needs: [], minutes: usualMinutes(rows, 'fitHardware', state), moves: takenFor(rows, choice, state) }),
};
