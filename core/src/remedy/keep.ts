import type { PickupChoice } from '../check/index.js';
import type { PickupGround } from './pickup-ground.js';
import type { Proposal } from './proposal.js';

/** Keep what is there: the baseline, never ranked. */
export function keep({ state, bare }: PickupGround): readonly Proposal<PickupChoice>[] {
  const position = state.anatomy.positions.find((p) => p.id === bare.position);
  const plate = state.anatomy.plates.find((p) => p.id === position?.plate);
  const insertFitted = plate?.openings.find((o) => o.id === position?.opening)?.insert?.fitted ?? false;
  return [{ id: 'keep', kind: 'keep', sets: { part: position?.part ?? null, insertFitted }, excludes: 'all', risk: 0, price: 0, lacks: [] }];
}
