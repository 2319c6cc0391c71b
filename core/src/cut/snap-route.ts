import type { PlannedRoute } from '../check/index.js';
import { snap, snapLines, stringsAt, type Anatomy } from '../instrument/index.js';
import { bounds, placeOutline, type Placement } from '../shape/index.js';

/** Where a route comes to rest near a line, and the lines that it met, in the body's frame, mm. */
export interface SnappedRoute {
  readonly to: Placement;
  readonly across: number | null;
  readonly along: number | null;
}

/** A route on its way to a place, brought with its edges or its middle onto the nearest line within a reach: centre line, strings, bridge line, edges and middles of the others of its face. */
export function snapRoute(a: Anatomy, cavity: string, route: PlannedRoute, to: Placement, reach: number): SnappedRoute {
  const b = bounds(route.levels.map((p) => placeOutline(p.outline, to)));
  const lines = snapLines(a, a.cavities.find((c) => c.id === cavity)?.face ?? 'top', cavity);
  const strings = stringsAt(a, (b.minY + b.maxY) / 2) ?? [];
  const across = snap([(b.minX + b.maxX) / 2, to.x, b.minX, b.maxX], [...lines.across, ...strings], reach);
  const along = snap([(b.minY + b.maxY) / 2, to.y, b.minY, b.maxY], lines.along, reach);
  return { to: { ...to, x: to.x + across.by, y: to.y + along.by }, across: across.line, along: along.line };
}
