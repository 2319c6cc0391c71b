import type { PlanState, PlannedRoute } from '../check/index.js';
import type { Cavity } from '../instrument/index.js';
import { toBody } from '../instrument/index.js';
import type { BoringBit, Tool } from '../part/index.js';
import { area, unreachableArea, type Point } from '../shape/index.js';
import { boreDepth, planBoring, wellBit, type BoringPlan } from './boring.js';
import { planClearing, type BulkClearing } from './clear-bulk.js';
import { judgeTemplateBits, type BitVerdict } from './choose-template-bit.js';
import { routeFigures, type RouteFigures } from './figures.js';
import { planPasses, type Passes } from './passes.js';
import { placePoint } from '../shape/index.js';
import type { Working } from '../measure/index.js';

/** A well to bore: where, with what, how deep the rim goes. */
export interface Well {
  readonly pocket: string;
  readonly at: Point;
  readonly diameter: number;
  readonly bit: BoringBit | null;
  readonly rimDepth: Working | null;
}

/** What is removed, with what, to what depth. */
export interface CuttingPlan {
  readonly figures: RouteFigures;
  readonly bits: readonly BitVerdict[];
  /** The bit chosen: the first without a refusal. */
  readonly bit: BitVerdict | null;
  readonly boring: BoringPlan | null;
  readonly clearing: BulkClearing | null;
  readonly passes: Passes | null;
  readonly wells: readonly Well[];
  /** Area that the chosen cutter cannot reach, mm². */
  readonly unreachable: number | null;
}

/** The cutting plan of a route from the shop's tools. Without a bit that will do, `bit` and `passes` are null and each bit says why. */
export function planCutting(state: PlanState, cavity: Cavity, route: PlannedRoute, tools: readonly Tool[]): CuttingPlan {
  const figures = routeFigures(state, cavity, route);
  const deepest = Math.max(...route.pockets.filter((p) => !p.bored).map((p) => p.depth));
  const bits = judgeTemplateBits(tools, figures.smallestCorner, deepest, state.settings);
  const bit = bits.find((b) => b.refusal === null) ?? null;
  const old = cavity.pockets.map((p) => toBody(state.anatomy, cavity.frame, p.outline.outline));
  const boring = planBoring(route, old, tools, state.settings);
  const routed = route.pockets.filter((p) => !p.bored);
  return {
    figures,
    bits,
    bit,
    boring,
    clearing: boring && planClearing(boring.rimDepth, tools, state.settings),
    passes: bit ? planPasses(route.pockets, bit.bit, state.settings) : null,
    wells: route.pockets.filter((p) => p.bored).map((p) => well(p, route, tools)),
    unreachable: bit ? routed.reduce((s, p) => s + unreachableArea([p.outline], bit.bit.diameter / 2), 0) : null,
  };
}

function well(p: PlannedRoute['pockets'][number], route: PlannedRoute, tools: readonly Tool[]): Well {
  const diameter = Math.sqrt((4 * area(p.outline)) / Math.PI);
  const bit = wellBit(diameter, tools);
  const first = p.outline.vertices[0] ?? { x: 0, y: 0 };
  const middle = { x: first.x + diameter / 2, y: first.y };
  return { pocket: p.id, at: placePoint(middle, route.at), diameter, bit, rimDepth: bit ? boreDepth(p.depth, bit) : null };
}
