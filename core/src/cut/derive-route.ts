import type { PlannedLevel, PlannedRoute } from '../check/index.js';
import type { Settings } from '../operation/index.js';
import type { PartTier, Pickup } from '../part/index.js';
import {
  bounds,
  differenceArea,
  grown,
  mirrorOutline,
  moveOutline,
  nearest,
  opened,
  placeOutline,
  placePoint,
  regionBoundary,
  roundedRectangle,
  stadium,
  type Outline,
  type Placement,
  type Point,
  type Region,
} from '../shape/index.js';
import { upToHalf, wellsFor } from './route-for-part.js';

/** A route that was made of another, or why there is none. */
export type DerivedRoute = { readonly route: PlannedRoute } | { readonly problem: 'islands' | 'apart' | 'tooNarrow' | 'joined' | 'noOutline' };

/**
 * A route along a part's own outline: the base and each ear grown by a clearance, with corners as the cutter leaves them, and wells for its height screws.
 * A base 69.5 × 38.3 with 1.0: 71.5 × 40.3.
 */
export function alongPart(part: Pickup, at: Placement, clearance: number, cutter: number, s: Settings): DerivedRoute {
  const base = part.tiers.find((l) => l.id === 'base');
  if (!base) return { problem: 'noOutline' };
  const depth = (tier: PartTier): number => upToHalf(tier.lowest.value + s.routeUnder);
  const wide = grown(
    base.shapes.map((x) => x.outline),
    clearance,
  );
  const floors = opened(wide.outlines, cutter);
  if (wide.islands + floors.islands > 0) return { problem: 'islands' };
  if (floors.outlines.length === 0) return { problem: 'tooNarrow' };
  const lugs = part.tiers
    .filter((l) => l.id === 'ears')
    .flatMap((l) => l.shapes.map((x) => ({ outline: lugRoom(x.outline, clearance, cutter), depth: depth(l) })));
  const levels: PlannedLevel[] = [
    ...floors.outlines.map((outline, i) => ({ id: i === 0 ? 'main' : `main ${i + 1}`, outline, depth: depth(base), bored: false })),
    ...lugs.map((l, i) => ({ id: `ear ${i + 1}`, ...l, bored: false })),
  ];
  const main = levels.find((p) => p.id === 'main');
  return { route: { at, levels: [...levels, ...wellsFor(part, s).filter((w) => w.depth > (main?.depth ?? 0))] } };
}

/**
 * The room for one ear: its outline with the clearance and with what the cutter's corner takes from it (0.29 r [law]); where the cutter is wider than that,
 * a rectangle that it goes into, widened towards the part's middle.
 */
function lugRoom(ear: Outline, clearance: number, cutter: number): Outline {
  const wide = grown([ear], clearance + cutter * (1 - Math.SQRT1_2)).outlines;
  const [made] = opened(wide, cutter).outlines;
  if (made && differenceArea(wide, [made]) < 4 * cutter * cutter * (1 - Math.PI / 4) + 1) return made;
  const b = bounds(wide);
  const [width, height] = [Math.max(b.maxX - b.minX, 2 * cutter + 0.5), Math.max(b.maxY - b.minY, 2 * cutter + 0.5)];
  const side = Math.sign(b.minX + b.maxX) || 1;
  const x = side > 0 ? b.maxX - width / 2 : b.minX + width / 2;
  return roundedRectangle(width, height, cutter, { x, y: (b.minY + b.maxY) / 2 });
}

/** The largest floor of a route joined with outlines that are there already, given in the body's frame: nothing of them is left over. */
export function takingIn(route: PlannedRoute, old: Region, cutter: number): DerivedRoute {
  const main = route.levels.find((p) => !p.bored);
  if (!main || old.length === 0) return { problem: 'noOutline' };
  const local = old.map((o) => inRoute(o, route.at));
  const made = opened(grown([main.outline, ...local], 0).outlines, cutter);
  if (made.islands > 0) return { problem: 'islands' };
  const [outline] = made.outlines;
  if (!outline) return { problem: 'tooNarrow' };
  if (made.outlines.length > 1) return { problem: 'apart' };
  return { route: { ...route, levels: route.levels.map((p) => (p === main ? { ...p, outline } : p)) } };
}

/** A channel of a width and a depth from a route to another cavity by the shortest way; joined on purpose, so no wall is asked for between them. */
export function withChannel(
  route: PlannedRoute,
  to: { readonly id: string; readonly region: Region },
  width: number,
  depth: number,
  cutter: number,
): DerivedRoute {
  if (width < 2 * cutter - 1e-9) return { problem: 'tooNarrow' };
  const own = route.levels.filter((p) => !p.bored).map((p) => placeOutline(p.outline, route.at));
  const made = channelBetween(own, to.region, width);
  if ('problem' in made) return made;
  const taken = new Set(route.levels.map((p) => p.id));
  const id = ['channel', ...Array.from({ length: 20 }, (_, i) => `channel ${i + 2}`)].find((x) => !taken.has(x)) ?? 'channel';
  const level: PlannedLevel = { id, outline: plain(inRoute(made.outline, route.at)), depth, bored: false };
  return { route: { ...route, levels: [...route.levels, level], joins: [...new Set([...(route.joins ?? []), to.id])] } };
}

/** The outline of a channel between two cavities by the shortest way; its round ends reach in by its width, so that the straight sides end inside both. */
export function channelBetween(from: Region, to: Region, width: number): { readonly outline: Outline } | { readonly problem: 'noOutline' | 'joined' } {
  const way = nearest(regionBoundary(from), regionBoundary(to));
  if (!Number.isFinite(way.distance)) return { problem: 'noOutline' };
  if (way.distance < 1e-6) return { problem: 'joined' };
  const turn = (Math.atan2(way.b.y - way.a.y, way.b.x - way.a.x) * 180) / Math.PI;
  const middle: Point = { x: (way.a.x + way.b.x) / 2, y: (way.a.y + way.b.y) / 2 };
  return { outline: plain(placeOutline(stadium(way.distance + 2 * width, width), { ...middle, turn })) };
}

/** The same route on the other side of the centre line, and the other way round. */
export function mirroredRoute(route: PlannedRoute): PlannedRoute {
  const { x, y, turn } = route.at;
  return {
    ...route,
    at: { x: x === 0 ? 0 : -x, y, turn: turn === 0 ? 0 : -turn },
    levels: route.levels.map((p) => ({ ...p, outline: mirrorOutline(p.outline) })),
  };
}

/**
 * The route with a traced or typed outline (in the body's frame) for its floor, as deep as its first one, its middle the outline's own so that it turns about it;
 * bored wells stay where they are. Its own levels beside the floor go: the tracing has their edge in it.
 */
export function outlinedRoute(route: PlannedRoute, outline: Outline): PlannedRoute {
  const b = bounds([outline]);
  const at = { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2, turn: 0 };
  const floor = route.levels.find((p) => !p.bored);
  const wells = route.levels.filter((p) => p.bored).map((p) => ({ ...p, outline: plain(inRoute(placeOutline(p.outline, route.at), at)) }));
  const main = { id: floor?.id ?? 'main', outline: plain(moveOutline(outline, -at.x, -at.y)), depth: floor?.depth ?? 1, bored: false };
  return { ...route, at, levels: [main, ...wells] };
}

/** An outline of the body's frame in the route's own. */
function inRoute(outline: Outline, at: Placement): Outline {
  const back = placePoint({ x: -at.x, y: -at.y }, { x: 0, y: 0, turn: -at.turn });
  return placeOutline(outline, { ...back, turn: -at.turn });
}

/** An outline as plain data, without what it was placed from. */
function plain(outline: Outline): Outline {
  return { vertices: outline.vertices.map((v) => ({ ...v })) };
}
