import type { PickupChoice } from '../check/index.js';
import { constant } from '../measure/index.js';
import { isPickup, stockOf } from '../part/index.js';
import type { PickupGround } from './pickup-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.1, 'memory', 'Risk of a remedy');

/** Another part from the shelf in the place as it is: one proposal for each part that is in stock, with the insert as it stands. */
export function anotherPart({ state, choice }: PickupGround): readonly Proposal<PickupChoice>[] {
  const position = state.anatomy.positions.find((p) => p.id === choice.position);
  const insert = state.anatomy.plates.find((p) => p.id === position?.plate)?.openings.find((o) => o.id === position?.opening)?.insert ?? null;
  return Object.values(state.parts)
    .filter(isPickup)
    .filter((p) => stockOf(state.stock, p.id) > 0 && p.id !== choice.part && p.id !== position?.part)
    .map((p) => ({
      id: `anotherPart/${p.id}`,
      kind: 'anotherPart',
      sets: { part: p.id, insertFitted: insert?.fitted ?? false },
      excludes: 'all',
      risk: RISK.value,
      price: p.price,
      lacks: [],
    }));
}
