import { segmentBox } from './distance.js';
import { intersections } from './intersections.js';
import { length, segmentsOf, type Outline, type Point } from './outline.js';

/** Nearer than this to a shared corner a meeting is the corner itself, mm. */
const CORNER = 1e-6;

/** Where an outline crosses or touches itself; null for a plain one. A figure of eight through (0,0) (10,10) (10,0) (0,10) crosses at (5,5) [law]. */
export function selfCrossing(outline: Outline): Point | null {
  // a corner that is named twice makes no side
  const segments = segmentsOf(outline)
    .filter((s) => length(s) > CORNER)
    .map((s, i) => ({ s, i, box: segmentBox(s) }));
  const n = segments.length;
  const sorted = [...segments].sort((a, b) => a.box.minX - b.box.minX);
  for (let i = 0; i < n; i++) {
    const a = sorted[i];
    if (!a) continue;
    for (let j = i + 1; j < n; j++) {
      const b = sorted[j];
      if (!b || b.box.minX > a.box.maxX) break;
      if (b.box.minY > a.box.maxY || b.box.maxY < a.box.minY) continue;
      const apart = Math.abs(a.i - b.i);
      const neighbours = apart === 1 || apart === n - 1;
      const met = intersections(a.s, b.s).find((p) => !neighbours || !isShared(p, a.s, b.s));
      if (met) return met;
    }
  }
  return null;
}

/** The corner that two neighbours share is no crossing; of two arcs of one circle both their corners are shared. */
function isShared(p: Point, a: { from: Point; to: Point }, b: { from: Point; to: Point }): boolean {
  const near = (q: Point): boolean => Math.hypot(p.x - q.x, p.y - q.y) < CORNER;
  return (near(a.from) || near(a.to)) && (near(b.from) || near(b.to));
}
