import { cavityOfRoute } from '../../check/index.js';
import { valueOf } from '../../measure/index.js';
import { tooled } from '../need.js';
import { usualMinutes, type PlanRow } from '../plan-row.js';
import { boresOf } from './bores.js';

/** Nothing to bore where no bit goes in, or all of it is cavity already. Its bores stand in the wood until the passes take them up. */
export const boreBulk: PlanRow = {
  kind: 'boreBulk',
  plan: (_, { rows, state, choice, cutting, today }) => {
    const { boring } = cutting ?? {};
    const cavity = cavityOfRoute(rows, state.anatomy, choice);
    if (!boring || !cavity) return null;
    const levels = boresOf(choice, boring, valueOf(boring.rimDepth) + boring.bit.spur, state.settings);
    return {
      needs: [tooled('boringBit', boring.bit.diameter, boring.bit, today)],
      minutes: usualMinutes(rows, 'boreBulk', state),
      does: [{ kind: 'addLevels', cavity: cavity.id, levels }],
    };
  },
};
