import { barePickup, type PickupChoice, type PlanState } from '../check/index.js';
import type { Proposal } from './proposal.js';

/** Keep what is there: the baseline, never ranked. */
export function keep(state: PlanState, choice: PickupChoice): readonly Proposal[] {
  const position = state.anatomy.positions.find((p) => p.id === choice.position);
  const plate = state.anatomy.plates.find((p) => p.id === position?.plate);
  const insertFitted = plate?.openings.find((o) => o.id === position?.opening)?.insert?.fitted ?? false;
  return [{ id: 'keep', kind: 'keep', choice: { ...barePickup(choice), part: position?.part ?? null, insertFitted }, risk: 0, price: 0, lacks: [] }];
}
