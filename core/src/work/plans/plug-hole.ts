import type { PlanState } from '../../check/index.js';
import { actsOf } from '../../operation/index.js';
import { takenForPlug } from '../moves.js';
import { dowel, dowelFor, glue, newHole } from '../need.js';
import { usualMinutes, type PlanRow } from '../plan-row.js';

/** A dowel that is thick enough, the drill that bores for it, and glue; it cures before it is drilled or cut. */
export const plugHole: PlanRow = {
  kind: 'plugHole',
  plan: ({ does }, { rows, state, today }) => {
    const closed = actsOf(does, 'closeHole').map((w) => sizeOf(state, w.hole));
    return {
      needs: closed.flatMap(({ diameter }) => [
        dowel(state, diameter),
        glue(state),
        ...newHole(dowelFor(state, diameter)?.diameter ?? null, state.tools, today),
      ]),
      minutes: usualMinutes(rows, 'plugHole', state),
      moves: closed.flatMap(({ diameter, depth }) => takenForPlug(state, diameter, depth)),
      waitAfter: { until: 'work', minutes: state.settings.waitForGlue },
    };
  },
};

/** How wide a hole is and how deep it goes, mm; through the headstock or the body where it goes through. */
function sizeOf({ anatomy }: PlanState, id: string): { readonly diameter: number; readonly depth: number } {
  const hole = anatomy.holes.find((h) => h.id === id);
  const thick = hole?.face === 'headstock front' || hole?.face === 'headstock back' ? anatomy.headstock.thickness : anatomy.body.thickness;
  return { diameter: hole?.diameter?.value ?? 0, depth: hole?.depth?.value ?? thick?.value ?? 0 };
}
