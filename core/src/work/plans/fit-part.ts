import { takenFor } from '../moves.js';
import { usualMinutes, type PlanRow } from '../plan-row.js';

/** The pickup leaves the drawer; one that goes back to its place lies on the bench. */
export const fitPart: PlanRow = {
  kind: 'fitPart',
  plan: (_, { rows, state, choice }) => ({ needs: [], minutes: usualMinutes(rows, 'fitPart', state), moves: takenFor(rows, choice, state) }),
};
