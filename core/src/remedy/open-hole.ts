import { holeSteps } from '../cut/index.js';
import { constant } from '../measure/index.js';
import { planned, priceOf, toBuy, trouble, type HardwareGround } from './hardware-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.25, 'memory', 'Risk of a remedy');

/** Open a hole that is too small: finish scratched back first, then by steps of 0.5 from the drills that are owned [trade]. */
export function openHole(g: HardwareGround): readonly Proposal[] {
  const { site, state, choice } = g;
  const tight = trouble(g, 'bushingInHole') ?? trouble(g, 'pressSplits') ?? trouble(g, 'wiresInBore') ?? trouble(g, 'screwPasses', 'body');
  const bore = site?.hole?.diameter;
  if (!site?.hole || !bore || !tight || choice.place.on === 'face') return [];
  const target = bore.value - (tight.clearance ?? 0) + tight.minimum + (tight.worst ?? 0);
  const steps = holeSteps(bore.value, target, state.tools);
  const work = [{ kind: 'sizeHole' as const, hole: site.hole.id, by: 'drill' as const, diameter: planned(steps.final, state.settings.limitDrill) }];
  return [
    {
      id: `openHole/${choice.part ?? ''}`,
      kind: 'openHole',
      sets: { work: [{ kind: 'openHole', does: work }] },
      risk: RISK.value,
      price: priceOf(state, choice.part),
      lacks: [...toBuy(state, choice.part), ...steps.lacks],
      steps,
      by: steps.final,
    },
  ];
}
