import { barePickup, type PickupChoice, type PlanState } from '../check/index.js';
import { constant } from '../measure/index.js';
import { pickupIn, smallestCutter, type Tool } from '../part/index.js';
import type { Proposal } from './proposal.js';
import { routeForPart } from '../cut/index.js';

const RISK = constant(0.4, 'memory', 'Risk of a remedy');

/** A new route under the cover for the chosen part: the plan's own route where there is one, else the one that the part asks for with the shop's smallest template bit. */
export function reroute(state: PlanState, choice: PickupChoice, tools: readonly Tool[]): readonly Proposal[] {
  const position = state.anatomy.positions.find((p) => p.id === choice.position);
  const part = pickupIn(state.parts, choice.part);
  const cutter = smallestCutter(tools);
  if (!position || !part || cutter === null) return [];
  const levels = choice.route?.levels ?? routeForPart(part, cutter, state.settings);
  if (levels.length === 0) return [];
  const route = choice.route ?? { at: { ...position.at, turn: 0 }, levels };
  return [
    {
      id: `reroute/${part.id}`,
      kind: 'reroute',
      choice: { ...barePickup(choice), insertFitted: false, route },
      risk: RISK.value,
      price: part.price,
      lacks: [],
    },
  ];
}
