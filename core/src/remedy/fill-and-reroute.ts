import { FOUND_SET, type PickupChoice, type PlanState, type Verdict } from '../check/index.js';
import { cavityOf } from '../instrument/index.js';
import { constant } from '../measure/index.js';
import type { Tool } from '../part/index.js';
import { woodToBuy } from './hardware-ground.js';
import type { Proposal } from './proposal.js';
import { reroute } from './reroute.js';

const RISK = constant(0.5, 'memory', 'Risk of a remedy');

/** Fill what was found, let it cure, and cut the new route: offered where the old one is in sight. */
export function fillAndReroute(state: PlanState, choice: PickupChoice, tools: readonly Tool[], verdicts: readonly Verdict[]): readonly Proposal[] {
  const cavity = cavityOf(state.anatomy, choice);
  const bare = verdicts.some((v) => v.check === 'hiddenEdge' && v.subject.item === FOUND_SET && v.class !== 'well' && v.class !== 'thin');
  if (!cavity || (cavity.hiddenBy !== null && !bare)) return [];
  return reroute(state, choice, tools).map((p) => ({
    ...p,
    id: p.id.replace('reroute/', 'fillAndReroute/'),
    kind: 'fillAndReroute',
    choice: { ...p.choice, fill: true } as PickupChoice,
    risk: RISK.value,
    lacks: [...p.lacks, ...woodToBuy(state)],
    wait: state.settings.waitForGlue,
  }));
}
