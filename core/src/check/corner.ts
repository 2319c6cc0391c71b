import { length, POINT, regionBoundary, segmentsOf, type ArcSegment, type LineSegment, type Outline, type Point, type Region } from '../shape/index.js';

/** A corner of a part in a corner of its route: the radii that meet there, and the largest in the route that would still let the part in, mm. */
export interface Corner {
  readonly ofPart: number;
  readonly ofRoute: number;
  readonly most: number;
}

/** A corner of a part where it lies: the middle of its rounding, of radius 0 for a sharp one. */
export interface PartCorner {
  readonly centre: Point;
  readonly radius: number;
}

/** What is met in one corner of the route, and how much room is there. */
export interface CornerMet {
  readonly corner: Corner;
  readonly part: PartCorner;
  readonly clearance: number;
}

/** An inside corner of a route: two straight walls that a rounding joins, and where they would meet without it. */
interface RouteCorner {
  readonly apex: Point;
  /** Along each wall away from the apex, of length 1, and how far each goes. */
  readonly ways: readonly [Point, Point];
  readonly reaches: readonly [number, number];
  readonly radius: number;
  readonly centre: Point;
}

/**
 * The corner of a part that has least room in a corner of its route; null where no corner of one lies in a corner of the other,
 * and where the part does not even pass the straight walls there: its corners are then no question.
 * Base r 3 in a route r 4.7625, 1.0 and 1.1 from the walls: 0.75 room, and up to r 6.58 would do [law].
 */
export function tightestCorner(part: Outline, route: Region): CornerMet | null {
  const walls = routeCorners(route);
  let least: CornerMet | null = null;
  for (const c of partCorners(part)) {
    const wall = walls.filter((w) => holds(w, c.centre)).reduce<RouteCorner | null>((n, w) => (n && far(n, c) <= far(w, c) ? n : w), null);
    const met = wall && meet(c, wall);
    if (met && (!least || met.clearance < least.clearance)) least = met;
  }
  return least;
}

function far(wall: RouteCorner, { centre }: PartCorner): number {
  return distance(centre, wall.apex);
}

/** Does a point lie between the two walls of a corner, beside both? */
function holds({ apex, ways, reaches }: RouteCorner, p: Point): boolean {
  const most = reaches[0] + reaches[1];
  // no point between them lies further off than both walls together are long
  if (Math.abs(p.x - apex.x) > most || Math.abs(p.y - apex.y) > most) return false;
  const c = minus(p, apex);
  const between = cross(ways[0], ways[1]);
  const [along, across] = [cross(c, ways[1]) / between, cross(ways[0], c) / between];
  return along > 0 && across > 0 && along <= reaches[0] && across <= reaches[1];
}

function meet(part: PartCorner, wall: RouteCorner): CornerMet | null {
  const { apex, ways, radius } = wall;
  const c = minus(part.centre, apex);
  const rooms = [Math.abs(cross(ways[0], c)), Math.abs(cross(ways[1], c))] as const;
  if (Math.min(...rooms) < part.radius) return null;
  const along = { x: ways[0].x + ways[1].x, y: ways[0].y + ways[1].y };
  const bisector = Math.hypot(along.x, along.y);
  const half = Math.abs(cross(ways[0], along)) / bisector; // sine of half the angle between the walls
  const d = (c.x * along.x + c.y * along.y) / bisector / half - part.radius;
  const k = 1 / (half * half) - 1;
  const e = c.x * c.x + c.y * c.y - part.radius * part.radius;
  const most = (d + Math.sqrt(Math.max(0, d * d - k * e))) / k;
  const out = minus(part.centre, wall.centre);
  const beyond = dot(out, ways[0]) < 0 && dot(out, ways[1]) < 0;
  const clearance = beyond ? Math.min(...rooms, radius - Math.hypot(out.x, out.y)) - part.radius : Math.min(...rooms) - part.radius;
  return { corner: { ofPart: part.radius, ofRoute: radius, most }, part, clearance };
}

/** A rounding that turns by nearly this much is a round end, no corner, radians. */
const ROUND_END = Math.PI - 0.01;

/** The corners of a part's outline that stand out, rounded or sharp. */
function partCorners(part: Outline): readonly PartCorner[] {
  const segments = segmentsOf(part);
  const turning = Math.sign(segments.reduce((s, { from, to }) => s + from.x * to.y - to.x * from.y, 0));
  return segments.flatMap((s, i): readonly PartCorner[] => {
    if (s.kind === 'arc') return s.sweep * turning > 0 && Math.abs(s.sweep) < ROUND_END ? [{ centre: s.centre, radius: s.radius }] : [];
    const next = segments[(i + 1) % segments.length];
    const sharp = next?.kind === 'line' && cross(minus(s.to, s.from), minus(next.to, next.from)) * turning > POINT;
    return sharp ? [{ centre: s.to, radius: 0 }] : [];
  });
}

const known = new WeakMap<readonly unknown[], readonly RouteCorner[]>();

/** The corners of a route's edge where two straight walls are joined by a rounding or meet sharply; computed once for each edge. */
function routeCorners(route: Region): readonly RouteCorner[] {
  const edge = regionBoundary(route);
  let corners = known.get(edge);
  if (!corners) {
    const lines = edge.filter((s): s is LineSegment => s.kind === 'line');
    const rounded = edge.filter((s): s is ArcSegment => s.kind === 'arc').flatMap((arc) => roundedCorner(arc, lines));
    corners = [...rounded, ...lines.flatMap((l, i) => sharpCorner(l, i, lines))];
    known.set(edge, corners);
  }
  return corners;
}

function roundedCorner(arc: ArcSegment, lines: readonly LineSegment[]): readonly RouteCorner[] {
  const a = lines.find((l) => same(l.to, arc.from));
  const b = lines.find((l) => same(l.from, arc.to));
  if (!a || !b) return [];
  const ways = [way(a.to, a.from), way(b.from, b.to)] as const;
  const between = cross(ways[0], ways[1]);
  const joins = [a, b].every((l) => Math.abs(Math.abs(cross(way(l.from, l.to), minus(arc.centre, l.from))) - arc.radius) < POINT);
  if (!joins || Math.abs(between) < POINT) return [];
  const t = cross(minus(b.from, a.to), ways[1]) / between;
  const apex = { x: a.to.x + t * ways[0].x, y: a.to.y + t * ways[0].y };
  return [{ apex, ways, reaches: [distance(apex, a.from), distance(apex, b.to)], radius: arc.radius, centre: arc.centre }];
}

function sharpCorner(l: LineSegment, index: number, lines: readonly LineSegment[]): readonly RouteCorner[] {
  // mostly it is the one that follows
  const beside = lines[index + 1];
  const next = beside && same(beside.from, l.to) ? beside : lines.find((m) => m !== l && same(m.from, l.to));
  if (!next) return [];
  const ways = [way(l.to, l.from), way(next.from, next.to)] as const;
  return Math.abs(cross(ways[0], ways[1])) < POINT ? [] : [{ apex: l.to, ways, reaches: [length(l), length(next)], radius: 0, centre: l.to }];
}

function same(p: Point, q: Point): boolean {
  return Math.abs(p.x - q.x) < POINT && Math.abs(p.y - q.y) < POINT;
}

function distance(p: Point, q: Point): number {
  return Math.sqrt((p.x - q.x) ** 2 + (p.y - q.y) ** 2);
}

function minus(p: Point, q: Point): Point {
  return { x: p.x - q.x, y: p.y - q.y };
}

function cross(a: Point, b: Point): number {
  return a.x * b.y - a.y * b.x;
}

function dot(a: Point, b: Point): number {
  return a.x * b.x + a.y * b.y;
}

function way(from: Point, to: Point): Point {
  const d = minus(to, from);
  const l = Math.sqrt(d.x * d.x + d.y * d.y);
  return { x: d.x / l, y: d.y / l };
}
