import { FOUND_SET, type PickupChoice } from '../check/index.js';
import { cavityOf } from '../instrument/index.js';
import { constant } from '../measure/index.js';
import { woodToBuy } from './hardware-ground.js';
import type { PickupGround } from './pickup-ground.js';
import type { Proposal } from './proposal.js';
import { reroute } from './reroute.js';

const RISK = constant(0.5, 'memory', 'Risk of a remedy');

/** Fill what was found, let it cure, and cut the new route: offered where the old one is in sight. */
export function fillAndReroute(g: PickupGround): readonly Proposal<PickupChoice>[] {
  const { state, choice, verdicts } = g;
  const cavity = cavityOf(state.anatomy, choice);
  const bare = verdicts.some((v) => v.check === 'hiddenEdge' && v.subject.item === FOUND_SET && v.class !== 'well' && v.class !== 'thin');
  if (!cavity || (cavity.hiddenBy !== null && !bare)) return [];
  return reroute(g).map((p) => ({
    ...p,
    id: p.id.replace('reroute/', 'fillAndReroute/'),
    kind: 'fillAndReroute',
    sets: { ...p.sets, fill: true },
    risk: RISK.value,
    lacks: [...p.lacks, ...woodToBuy(state)],
    wait: state.settings.waitForGlue,
  }));
}
