import { bulgeThrough } from './build.js';
import { pointToSegment } from './distance.js';
import { area } from './measures.js';
import { segment, type Outline, type Point, type Vertex } from './outline.js';

/** How far a fitted arc may leave the points that it replaces, mm. */
const WITHIN = 0.004;
/** An arc is stated by this many points at least: fewer are corners. */
const LEAST = 4;
/** No single arc turns further than this, in bulge: three quarters of a half circle. */
const MOST = Math.tan((0.75 * Math.PI) / 4);

/**
 * A ring of straight pieces as lines and arcs: what was an arc before an offset or a union is one again.
 * A rounded rectangle flattened to 0.001 mm comes back as four lines and four corners.
 */
export function fitArcs(ring: readonly Point[]): Outline {
  const points = fromLongest(ring.filter((p, i) => apart(p, ring[(i + 1) % ring.length] ?? p) > 1e-6));
  const n = points.length;
  const at = (i: number): Point => {
    const { x, y } = points[i % n] ?? { x: NaN, y: NaN };
    return { x, y };
  };
  const vertices: Vertex[] = [];
  let i = 0;
  while (i < n) {
    const to = arcFrom(at, i, n);
    const from = at(i);
    const middle = at(Math.round((i + to) / 2));
    vertices.push({ ...from, bulge: to - i + 1 >= LEAST ? bulgeThrough(from, middle, at(to)) : 0 });
    i = to - i + 1 >= LEAST ? to : i + 1;
  }
  return straightened({ vertices });
}

/** The last point of the longest arc that begins at a point; the point after it where there is none. */
function arcFrom(at: (i: number) => Point, i: number, n: number): number {
  let to = i + 1;
  for (let j = i + LEAST - 1; j <= n; j++) {
    if (!onArc(at, i, j)) break;
    to = j;
  }
  return to;
}

function onArc(at: (i: number) => Point, i: number, j: number): boolean {
  const [from, to] = [at(i), at(j)];
  const bulge = bulgeThrough(from, at(Math.round((i + j) / 2)), to);
  if (Math.abs(bulge) < 1e-4 || Math.abs(bulge) > MOST) return false;
  const arc = segment(from, to, bulge);
  for (let k = i; k < j; k++) {
    const [p, q] = [at(k), at(k + 1)];
    const middle = { x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 };
    if (pointToSegment(p, arc).distance > WITHIN || pointToSegment(middle, arc).distance > WITHIN) return false;
  }
  return true;
}

/** Corners in a straight run are none. */
function straightened(o: Outline): Outline {
  const v = o.vertices;
  const kept = v.filter((p, i) => {
    const before = v[(i + v.length - 1) % v.length];
    const after = v[(i + 1) % v.length];
    if (!before || !after || before.bulge !== 0 || p.bulge !== 0) return true;
    return pointToSegment(p, segment(before, after, 0)).distance > 1e-4;
  });
  return kept.length >= 2 && Math.abs(area({ vertices: kept })) > 0 ? { vertices: kept } : o;
}

/** The ring begun where its longest piece ends: no arc is cut in two by the seam. */
function fromLongest(points: readonly Point[]): readonly Point[] {
  const lengths = points.map((p, i) => apart(p, points[(i + 1) % points.length] ?? p));
  const longest = lengths.reduce((best, l, i) => (l > (lengths[best] ?? 0) ? i : best), 0);
  return [...points.slice(longest + 1), ...points.slice(0, longest + 1)];
}

function apart(p: Point, q: Point): number {
  return Math.hypot(p.x - q.x, p.y - q.y);
}
