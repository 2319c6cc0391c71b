import { cavityOfRoute, type CheckRows, type Choice, type PlanState, type PlannedLevel, type PlannedRoute } from '../check/index.js';
import { toBody, type Cavity } from '../instrument/index.js';
import type { Working } from '../measure/index.js';
import type { Settings } from '../operation/index.js';
import type { BoringBit, Tool } from '../part/index.js';
import { area, bounds, placeOutline, placePoint, unreachableRests, type Point, type Rest } from '../shape/index.js';
import { blankFor, type Blank } from './blank.js';
import { boreDepth, planBoring, wellBit, widestLevel, type BoringPlan } from './boring.js';
import { judgeTemplateBits, type BitVerdict } from './choose-template-bit.js';
import { chooseWay } from './choose-way.js';
import { planClearing, type BulkClearing } from './clear-bulk.js';
import { routeFigures, type RouteFigures } from './figures.js';
import { lineInTheOpen } from './line-in-the-open.js';
import { removedVolume } from './removed-volume.js';
import type { Passes } from './passes.js';
import { methodsOf, type Method } from './methods.js';

/** A well to bore: where, with what, how deep the rim goes. */
export interface Well {
  readonly level: string;
  readonly at: Point;
  readonly diameter: number;
  readonly bit: BoringBit | null;
  readonly rimDepth: Working | null;
}

/** Minutes at the machine, as they turn out from good days to bad ones. */
export interface TimeRange {
  readonly from: number;
  readonly to: number;
}

/** What is removed, with what, to what depth. */
export interface CuttingPlan {
  readonly figures: RouteFigures;
  /** The block that closes the old cavity first; null where it stays open or nothing is known of its depth. */
  readonly blank: Blank | null;
  readonly bits: readonly BitVerdict[];
  /** The bit chosen: the first whose bearing has enough to run on. */
  readonly bit: BitVerdict | null;
  /** The thickness of the template that it is chosen for, mm: the shop's own where that will do. */
  readonly template: number;
  readonly boring: BoringPlan | null;
  /** Of the volume that goes, what the bores take, 0 to 1. */
  readonly boredShare: number;
  readonly clearing: BulkClearing | null;
  readonly passes: Passes | null;
  /** How much of the line lies in the old cavity, where a bearing has no wall, mm; only where the template comes off. */
  readonly inTheOpen: number;
  readonly wells: readonly Well[];
  /** Area that the chosen cutter cannot reach, mm², and where: work for the chisel. */
  readonly unreachable: number | null;
  readonly chisel: readonly Rest[];
  readonly time: TimeRange;
  readonly methods: readonly Method[];
}

/** Work takes from so much to so much of what is reckoned [memory]: small and first-time work overruns most. */
const TIME = { least: 0.8, most: 1.6 } as const;

/** The cutting plan of a route from the shop's tools; `fill`: the old cavity is closed first. Without a bit that will do, `bit` and `passes` are null and each bit says why. */
export function planCutting(state: PlanState, cavity: Cavity, route: PlannedRoute, fill = false): CuttingPlan {
  const { anatomy, settings } = state;
  const figures = routeFigures(state, cavity, route);
  const routed = route.levels.filter((p) => !p.bored);
  const deepest = Math.max(...routed.map((p) => p.depth));
  const old = fill ? [] : cavity.levels.map((p) => ({ outline: toBody(anatomy, cavity.frame, p.outline.outline), depth: p.depth?.value ?? 0 }));
  const boring = planBoring(route, old, state.tools, settings);
  const bits = judgeTemplateBits(state.tools, figures.smallestCorner, deepest, settings, boring === null && old.length === 0);
  const widest = widestLevel(route, settings);
  const clearing = boring && widest && planClearing(boring, widest.outline.outline, state.tools, settings);
  const work = { levels: route.levels, corner: figures.smallestCorner, depth: deepest, plunges: boring === null && old.length === 0 };
  const way = chooseWay(state.tools, work, settings);
  const bit = way?.bit ?? null;
  const passes = way?.passes ?? null;
  const wells = route.levels.filter((p) => p.bored).map((p) => well(p, route, state.tools));
  const chisel = bit ? routed.flatMap((p) => unreachableRests([placeOutline(p.outline, route.at)], bit.bit.diameter / 2)) : [];
  const removed = fill ? ownVolume(route) : figures.addedVolume;
  return {
    figures,
    blank: fill || figures.leftInSight > SEEN ? blankFor(anatomy, cavity, settings) : null,
    bits,
    bit,
    template: way?.template ?? settings.templateThickness,
    boring,
    boredShare: boring && removed > 0 ? Math.min(1, boring.volume / removed) : 0,
    clearing,
    passes,
    inTheOpen: passes?.templateOffAfter == null ? 0 : open(route, routed, old),
    wells,
    unreachable: bit ? chisel.reduce((sum, r) => sum + r.area, 0) : null,
    chisel,
    time: timeOf(boring, clearing, passes, wells.length, settings),
    methods: methodsOf(route, boring, passes, state.tools, settings),
  };
}

interface Known {
  readonly rows: CheckRows;
  readonly cutting: CuttingPlan | null;
}

/** Work, bench and gate ask for the same cut of the same state: it is worked out once. */
const known = new WeakMap<PlanState, WeakMap<Choice, Known>>();

/** The same for a choice of the plan; null where it has no route, or nowhere to cut it. */
export function cuttingFor(rows: CheckRows, state: PlanState, choice: Choice): CuttingPlan | null {
  if (!choice.route) return null;
  const ofState = known.get(state) ?? new WeakMap<Choice, Known>();
  known.set(state, ofState);
  const before = ofState.get(choice);
  if (before?.rows === rows) return before.cutting;
  const cavity = cavityOfRoute(rows, state.anatomy, choice);
  const cutting = cavity ? planCutting(state, cavity, choice.route, choice.fill ?? false) : null;
  ofState.set(choice, { rows, cutting });
  return cutting;
}

/** Less of the old cavity in sight than this is a trace of the drawing, mm². */
const SEEN = 0.5;

/** The volume of a route in whole wood, mm³. */
function ownVolume(route: PlannedRoute): number {
  return removedVolume(
    route.levels.map(({ outline, depth }) => ({ outline, depth })),
    [],
  );
}

function open(route: PlannedRoute, routed: readonly PlannedLevel[], old: readonly { readonly outline: PlannedLevel['outline'] }[]): number {
  const main = routed.reduce((w, p) => (area(p.outline) > area(w.outline) ? p : w));
  return lineInTheOpen(
    placeOutline(main.outline, route.at),
    old.map((o) => o.outline),
  );
}

function timeOf(boring: BoringPlan | null, clearing: BulkClearing | null, passes: Passes | null, wells: number, s: Settings): TimeRange {
  const rounds = (clearing?.passes.length ?? 0) + (passes?.passes.length ?? 0);
  const minutes = (boring ? s.minutesBore : 0) + rounds * (s.minutesPass + s.minutesSetUp) + (wells > 0 ? s.minutesWells : 0);
  return { from: minutes * TIME.least, to: minutes * TIME.most };
}

function well(p: PlannedRoute['levels'][number], route: PlannedRoute, tools: readonly Tool[]): Well {
  const diameter = Math.sqrt((4 * area(p.outline)) / Math.PI);
  const bit = wellBit(diameter, tools);
  const b = bounds([p.outline]);
  const middle = { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 };
  return { level: p.id, at: placePoint(middle, route.at), diameter, bit, rimDepth: bit ? boreDepth(p.depth, bit) : null };
}
