import { pointToSegment, regionBoundary, segmentsOf, type Outline, type Point, type Region } from '../shape/index.js';

/** A corner of a part in a corner of its route: the radii that meet there, mm; null where the route runs straight. */
export interface Corner {
  readonly ofPart: number;
  readonly ofRoute: number | null;
}

/** Nearer than this two points are one, mm. */
const SAME = 1e-3;

/**
 * The corner of a part's outline that a point lies on, and the route's radius over against it; null on a straight side.
 * The ends of a rounding count as side: there the side is just as near. Base r 3 in a route r 4.7625: { 3, 4.7625 }.
 */
export function cornerAt(part: Outline, route: Region, at: Point): Corner | null {
  const ofPart = radiusOfCorner(part, at);
  if (ofPart === null) return null;
  let [least, ofRoute]: [number, number | null] = [Infinity, null];
  for (const s of regionBoundary(route)) {
    const { distance } = pointToSegment(at, s);
    if (distance >= least - SAME && (distance > least + SAME || s.kind === 'line')) continue;
    [least, ofRoute] = [distance, s.kind === 'arc' ? s.radius : null];
  }
  return { ofPart, ofRoute };
}

function radiusOfCorner(part: Outline, at: Point): number | null {
  const segments = segmentsOf(part);
  const near = (p: Point): boolean => Math.hypot(p.x - at.x, p.y - at.y) < SAME;
  for (const [i, s] of segments.entries()) {
    const next = segments[(i + 1) % segments.length] ?? s;
    if (s.kind === 'line' && next.kind === 'line' && near(s.to)) return 0;
    if (s.kind === 'arc' && !near(s.from) && !near(s.to) && pointToSegment(at, s).distance < SAME) return s.radius;
  }
  return null;
}
