import { actsOf } from '../../operation/index.js';
import { dowel, dowelFor, glue, newHole } from '../need.js';
import { planRow } from '../plan-row.js';

/** A dowel that is thick enough, the drill that bores for it, and glue. */
export const plugHole = planRow('plugHole', ({ does }, { state, today }) =>
  actsOf(does, 'closeHole').flatMap((w) => {
    const hole = state.anatomy.holes.find((h) => h.id === w.hole)?.diameter?.value ?? 0;
    return [dowel(state, hole), glue(state), ...newHole(dowelFor(state, hole)?.diameter ?? null, state.tools, today)];
  }),
);
