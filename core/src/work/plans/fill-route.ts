import { takenForFill } from '../moves.js';
import { block, glue } from '../need.js';
import { usualMinutes, type PlanRow } from '../plan-row.js';

/** A block and glue leave the drawers; it cures before it is cut. */
export const fillRoute: PlanRow = {
  kind: 'fillRoute',
  plan: (_, { rows, state, cutting }) => ({
    needs: [block(state, cutting?.blank ?? null), glue(state)],
    minutes: usualMinutes(rows, 'fillRoute', state),
    moves: takenForFill(state, cutting?.blank ?? null),
    waitAfter: { until: 'work', minutes: state.settings.waitForGlue },
  }),
};
