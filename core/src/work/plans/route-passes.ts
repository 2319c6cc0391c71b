import { depthTool, tooled } from '../need.js';
import type { PlanRow } from '../plan-row.js';

/** The passes and their set-ups count one by one. */
export const routePasses: PlanRow = {
  kind: 'routePasses',
  plan: (_, { state, cutting, today }) =>
    cutting && {
      needs: [tooled('templateBit', null, cutting.bit?.bit ?? null, today), depthTool(state.tools)],
      minutes: (cutting.passes?.passes.length ?? 0) * (state.settings.minutesPass + state.settings.minutesSetUp),
    },
};
