import { comesOut } from '../moves.js';
import { usualMinutes, type PlanRow } from '../plan-row.js';

/** What comes out goes back to the drawer where this job took it from one. */
export const removeHardware: PlanRow = {
  kind: 'removeHardware',
  plan: ({ does }, { rows, state }) => ({ needs: [], minutes: usualMinutes(rows, 'removeHardware', state), moves: comesOut(does, state) }),
};
