import { arcsAlong, bezier } from './arcs-along.js';
import type { Outline, Point } from './outline.js';

/** A point that a smooth outline goes through; at a sharp one it turns a corner. */
export interface Through extends Point {
  readonly sharp?: boolean;
}

/** Fitted arcs keep this close to the curve, mm. */
const WITHIN = 0.05;
/** How far a curve leans along its tangent, as a share of the way to the next point: a third of a cubic's chord [law: Hermite to Bézier]. */
const LEAN = 1 / 3;

/**
 * A closed outline through points in turn, smooth but at the sharp ones: at each its tangent runs along the line between its two neighbours, so that it bows beyond no
 * point by more than a little. Told in arcs.
 */
export function smoothOutline(points: readonly Through[]): Outline {
  const n = points.length;
  if (n < 3) throw new RangeError('an outline has three points or more');
  const at = (i: number): Through => points[(i + n) % n] ?? { x: NaN, y: NaN };
  const apart = (p: Point, q: Point): number => Math.hypot(q.x - p.x, q.y - p.y);
  /** Where the curve leans to from a point, towards the next (1) or the one before (−1). */
  const lean = (i: number, way: 1 | -1): Point => {
    const [before, here, after] = [at(i - 1), at(i), at(i + 1)];
    const next = way === 1 ? after : before;
    const [dx, dy] = here.sharp ? [next.x - here.x, next.y - here.y] : [way * (after.x - before.x), way * (after.y - before.y)];
    const long = Math.hypot(dx, dy) || 1;
    const by = LEAN * apart(here, next);
    return { x: here.x + (dx / long) * by, y: here.y + (dy / long) * by };
  };
  return { vertices: points.flatMap((p, i) => arcsAlong(bezier([p, lean(i, 1), lean(i + 1, -1), at(i + 1)]), WITHIN)) };
}
