import type { Cavity, Change, Pocket } from '../instrument/index.js';
import type { Settings } from '../operation/index.js';
import { placeOutline, type Outline, type Placement } from '../shape/index.js';

/** One level of a route that is planned; its outline is in the route's own frame. */
export interface PlannedPocket {
  readonly id: string;
  readonly outline: Outline;
  /** mm below the face; of a bored place: the spur's tip. */
  readonly depth: number;
  readonly bored: boolean;
}

/** A route that is planned: where it lies in the body's frame, and its levels. Moving it changes only `at`. */
export interface PlannedRoute {
  readonly at: Placement;
  readonly pockets: readonly PlannedPocket[];
}

/** What is to be done at one pickup position. */
export interface Plan {
  readonly format: 1;
  readonly position: string;
  readonly part: string | null;
  /** Is the window's insert to be in its place? */
  readonly insertFitted: boolean;
  readonly leadsWanted: number;
  readonly route: PlannedRoute | null;
}

/** The set of pockets that a plan adds, until it is cut. */
export const PLANNED_SET = 'planned';

/** The pockets of a planned route in the body's frame, with the limits of planned work. */
export function routePockets(route: PlannedRoute, settings: Settings): readonly Pocket[] {
  return route.pockets.map((p) => ({
    id: p.id,
    set: PLANNED_SET,
    outline: { outline: placeOutline(p.outline, route.at), limit: settings.limitTemplate, basis: { kind: 'planned' }, across: null, along: null },
    depth: { value: p.depth, limit: settings.limitPlannedDepth, basis: { kind: 'planned' } },
    bored: p.bored,
  }));
}

/** A plan as changes to the instrument it is for. */
export function planChanges(
  plan: Plan,
  where: { readonly cavity: string; readonly plate: string; readonly opening: string },
  settings: Settings,
): readonly Change[] {
  const changes: Change[] = [
    { kind: 'fitPart', position: plan.position, part: plan.part },
    { kind: 'setInsert', plate: where.plate, opening: where.opening, fitted: plan.insertFitted },
  ];
  if (plan.route) changes.push({ kind: 'addPockets', cavity: where.cavity, pockets: routePockets(plan.route, settings) });
  return changes;
}

/** Is a planned pocket in the wood already? A cut pocket keeps its planned name, then a mark, and its very outline. */
export function isCut(cavity: Cavity, planned: Pocket): boolean {
  return cavity.pockets.some(
    (p) => p.set.startsWith(`${PLANNED_SET} `) && p.id.startsWith(`${planned.id} `) && sameOutline(p.outline.outline, planned.outline.outline),
  );
}

function sameOutline(a: Outline, b: Outline): boolean {
  return (
    a.vertices.length === b.vertices.length &&
    a.vertices.every((v, i) => Math.hypot(v.x - (b.vertices[i]?.x ?? Infinity), v.y - (b.vertices[i]?.y ?? Infinity)) < 1e-6)
  );
}
