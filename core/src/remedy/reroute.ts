import type { PickupChoice } from '../check/index.js';
import { lies } from '../instrument/index.js';
import { constant } from '../measure/index.js';
import { pickupIn, smallestCutter, USUAL_CUTTER } from '../part/index.js';
import type { PickupGround } from './pickup-ground.js';
import type { Proposal, RemedyKind } from './proposal.js';
import { toBuy } from './hardware-ground.js';
import { routeForPart } from '../cut/index.js';

const RISK = constant(0.4, 'memory', 'Risk of a remedy');

/** A new route is as deep and as wide as its part asks: what else gives depth or takes from the part is worked out for the old one. */
const DEPTH_BY_OTHER_MEANS: readonly RemedyKind[] = ['deepen', 'spacer', 'trim'];

/** A new route under the cover for the chosen part: the plan's own route where there is one, else the one that the part asks for with the shop's smallest template bit; without one for the usual size, and the bit is still to be had. */
export function reroute({ state, choice }: PickupGround): readonly Proposal<PickupChoice>[] {
  const position = state.anatomy.positions.find((p) => p.id === choice.position);
  const part = pickupIn(state.parts, choice.part);
  const own = smallestCutter(state.tools);
  if (!position || !part) return [];
  const levels = choice.route?.levels ?? routeForPart(part, own ?? USUAL_CUTTER, state.settings);
  if (levels.length === 0) return [];
  const route = choice.route ?? { at: lies(position), levels };
  return [
    {
      id: `reroute/${part.id}`,
      kind: 'reroute',
      sets: { insertFitted: false, route },
      excludes: DEPTH_BY_OTHER_MEANS,
      risk: RISK.value,
      price: part.price,
      lacks: [...toBuy(state, part.id), ...(own === null ? [{ kind: 'templateBit' as const }] : [])],
    },
  ];
}
