import { bestPlacement, placePoint, type Placement, type Point, type Region } from '../shape/index.js';
import { lies } from '../instrument/index.js';
import type { PickupChoice, Plan } from './choice.js';
import { evaluateIn } from './evaluate.js';
import type { CheckRows } from './row.js';
import { laid, placeOf, type PlanState } from './place.js';
import { roomFor } from './room-for.js';

/** Where a body of a pickup has most room in its route, as far as its screws let it go, and what is left there, mm and degrees. */
export interface BestInRoute {
  readonly tier: string;
  /** From where it is now. */
  readonly at: Placement;
  readonly clearance: number;
}

/** The best place of each body of a pickup in its route: asked for when it does not clear where it is, since it takes its time. */
export function bestInRoute(rows: CheckRows, state: PlanState, plan: Plan, choice: PickupChoice): readonly BestInRoute[] {
  const place = placeOf({ ...state, anatomy: evaluateIn(rows, state, plan, choice).anatomy }, choice);
  const { part, position } = place;
  if (!part) return [];
  const pivots: readonly Point[] = part.screws.at.map((p) => placePoint(p, lies(position)));
  return part.tiers.flatMap((tier): readonly BestInRoute[] => {
    if (tier.lowest.value <= 0) return [];
    const inner: Region = tier.shapes.map((s) => laid(s.outline, position));
    const outer = roomFor(place, inner).region;
    return [{ tier: tier.id, ...bestPlacement(inner, outer, pivots, state.settings.placementPlay) }];
  });
}
