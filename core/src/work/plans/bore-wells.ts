import { depthTool, tooled } from '../need.js';
import { usualMinutes, type PlanRow } from '../plan-row.js';

/** Nothing to bore where the route has no wells. */
export const boreWells: PlanRow = {
  kind: 'boreWells',
  plan: (_, { rows, state, cutting, today }) => {
    const wells = cutting?.wells ?? [];
    if (wells.length === 0) return null;
    const bits = wells.map((w) => tooled('boringBit', w.diameter, w.bit, today));
    return { needs: [...bits, depthTool(state.tools)], minutes: usualMinutes(rows, 'boreWells', state) };
  },
};
