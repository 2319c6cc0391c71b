import { constant } from '../measure/index.js';
import { pickupIn } from '../part/index.js';
import { planned } from './hardware-ground.js';
import { priceOfPickup, troubles, type PickupGround } from './pickup-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.15, 'memory', 'Risk of a remedy');
const PRICE = constant(1500, 'memory', 'Prices to start with');
/** How sure the holes of a cover are, mm [memory]. */
const HOLES_LIMIT = 0.1;

/** A cover whose holes do not lie over the poles is changed for one whose holes do: nothing is cut. */
export function anotherCover(g: PickupGround): readonly Proposal[] {
  const part = pickupIn(g.state.parts, g.bare.part);
  if (!part || troubles(g.verdicts, 'coverHoles').length === 0) return [];
  const holes = planned(part.poles.spacing.value, HOLES_LIMIT);
  return [
    {
      id: `anotherCover/${part.id}`,
      kind: 'anotherCover',
      sets: { work: [{ kind: 'changeCover', does: [{ kind: 'changeCover', position: g.bare.position, holes }] }] },
      risk: RISK.value,
      price: priceOfPickup(g) + PRICE.value,
      lacks: [{ kind: 'cover', spacing: holes.value }],
      by: holes.value,
    },
  ];
}
