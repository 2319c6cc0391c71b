import type { PlanState, PlannedLevel, PlannedRoute } from '../check/index.js';
import { routeLevels } from '../check/index.js';
import { toBody, type Cavity, type Level } from '../instrument/index.js';
import { differenceArea, smallestInsideRadius, unionArea, type Outline } from '../shape/index.js';

/** What a planned route takes away, mm² and mm³. */
export interface RouteFigures {
  /** New less old. */
  readonly addedArea: number;
  /** Old less new: hidden by the cover, or plugged first. */
  readonly leftOver: number;
  /** Of that, what no plate hides. */
  readonly leftInSight: number;
  readonly together: number;
  /** Area of the route by itself; a move does not change it. */
  readonly ownArea: number;
  readonly addedVolume: number;
  readonly smallestCorner: number;
}

interface OwnFigures {
  readonly area: number;
  readonly corner: number;
  /** Area of what reaches each depth and beyond. */
  readonly reaching: ReadonlyMap<number, number>;
}

const own = new WeakMap<readonly PlannedLevel[], OwnFigures>();

/** Areas and smallest inside radius of a route in its own frame: once for each list of levels, whatever its place. */
function ownFigures(levels: readonly PlannedLevel[]): OwnFigures {
  let f = own.get(levels);
  if (!f) {
    f = {
      reaching: new Map(levels.map((p) => [p.depth, unionArea(levels.filter((q) => q.depth >= p.depth).map((q) => q.outline))])),
      area: unionArea(levels.map((p) => p.outline)),
      corner: Math.min(...levels.filter((p) => !p.bored).map((p) => smallestInsideRadius(p.outline))),
    };
    own.set(levels, f);
  }
  return f;
}

const oldAreas = new WeakMap<readonly Level[], number>();

function oldArea(cavity: Cavity, outlines: readonly Outline[]): number {
  let a = oldAreas.get(cavity.levels);
  if (a === undefined) oldAreas.set(cavity.levels, (a = unionArea(outlines)));
  return a;
}

/** The figures of a route laid over the cavity as found. Areas of outlines flattened to 0.001 mm. */
export function routeFigures(state: PlanState, cavity: Cavity, route: PlannedRoute): RouteFigures {
  const placed = routeLevels(route, state.settings);
  const fresh = placed.map((p) => p.outline.outline);
  const old = cavity.levels.map((p) => toBody(state.anatomy, cavity.frame, p.outline.outline));
  const mine = ownFigures(route.levels);
  const addedArea = differenceArea(fresh, old);
  const together = oldArea(cavity, old) + addedArea;
  return {
    addedArea,
    leftOver: together - mine.area,
    leftInSight: leftInSight(state, cavity, old, fresh),
    together,
    ownArea: mine.area,
    addedVolume: addedVolume(placed, cavity.levels, mine, addedArea, (p) => toBody(state.anatomy, cavity.frame, p.outline.outline)),
    smallestCorner: mine.corner,
  };
}

/** What of the old cavity stays open beside the new one and under no plate, mm². */
function leftInSight({ anatomy }: PlanState, cavity: Cavity, old: readonly Outline[], fresh: readonly Outline[]): number {
  const plate = anatomy.plates.find((p) => p.id === cavity.hiddenBy);
  const cover = plate ? [toBody(anatomy, plate.frame, plate.outline.outline)] : [];
  return differenceArea(old, [...fresh, ...cover]);
}

/**
 * Wood that goes, layer by layer: at each depth what is open afterwards less what was open before [law].
 * Layers that all levels reach share the area worked out already, layers below the old route are the new one's own.
 */
function addedVolume(fresh: readonly Level[], old: readonly Level[], mine: OwnFigures, addedArea: number, inBody: (p: Level) => Outline): number {
  const depthOf = (p: Level): number => p.depth?.value ?? 0;
  const depths = [...new Set([...fresh, ...old].map(depthOf))].filter((d) => d > 0).sort((a, b) => a - b);
  let above = 0;
  let volume = 0;
  for (const depth of depths) {
    const now = fresh.filter((p) => depthOf(p) >= depth);
    const before = old.filter((p) => depthOf(p) >= depth);
    const layer = (): number => {
      if (now.length === fresh.length && before.length === old.length) return addedArea;
      if (before.length === 0) return mine.reaching.get(depth) ?? 0;
      return differenceArea(
        now.map((p) => p.outline.outline),
        before.map(inBody),
      );
    };
    volume += (depth - above) * layer();
    above = depth;
  }
  return volume;
}
