import { newHoleSteps } from '../cut/index.js';
import { constant } from '../measure/index.js';
import { planned, priceOf, toBuy, type HardwareGround } from './hardware-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.2, 'memory', 'Risk of a remedy');

/** A new hole for a part that has no place yet, of the size that its bushing asks for [trade: bushing + 0.2]. */
export function drillNew(g: HardwareGround): readonly Proposal[] {
  const { site, state, choice } = g;
  const through = site?.part.sizes.bushing ?? site?.part.sizes.outer;
  if (!site || !through || choice.place.on !== 'face') return [];
  const steps = newHoleSteps(through.value + state.settings.minHoleOver + through.limit, state.tools);
  const work = [{ kind: 'sizeHole' as const, hole: choice.id, by: 'drill' as const, diameter: planned(steps.final, state.settings.limitDrill) }];
  return [
    {
      id: `drillNew/${choice.part ?? ''}`,
      kind: 'drillNew',
      sets: { work: [{ kind: 'drillHole', does: work }] },
      risk: RISK.value,
      price: priceOf(state, choice.part),
      lacks: [...toBuy(state, choice.part), ...steps.lacks],
      steps,
      by: steps.final,
    },
  ];
}
