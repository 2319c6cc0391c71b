import { cavityOf } from '../../instrument/index.js';
import { depthTool, tooled } from '../need.js';
import type { PlanRow } from '../plan-row.js';
import { boresIn } from './bores.js';

/** The passes and their set-ups count one by one; what was bored before goes up in them. */
export const routePasses: PlanRow = {
  kind: 'routePasses',
  plan: ({ does }, { state, choice, cutting, today }) => {
    const cavity = choice.kind === 'pickup' ? cavityOf(state.anatomy, choice) : null;
    if (!cutting || !cavity) return null;
    const replaces = boresIn(choice, cavity);
    return {
      needs: [tooled('templateBit', null, cutting.bit?.bit ?? null, today), depthTool(state.tools)],
      minutes: (cutting.passes?.passes.length ?? 0) * (state.settings.minutesPass + state.settings.minutesSetUp),
      does: replaces.length === 0 ? does : does.map((act) => (act.kind === 'addLevels' ? { ...act, replaces } : act)),
    };
  },
};
