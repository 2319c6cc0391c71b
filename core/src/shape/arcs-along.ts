import { bulgeThrough } from './build.js';
import { pointToSegment } from './distance.js';
import { segment, type Point, type Vertex } from './outline.js';

/** Places along a piece at which an arc is compared with the curve. */
const LOOKED_AT = [0.125, 0.25, 0.375, 0.625, 0.75, 0.875] as const;

/** A curve is halved this often at most. */
const DEPTH = 12;

/**
 * A curve from t = 0 to 1 as arcs and lines that keep within a tolerance of it, mm. The last point is left to whatever follows.
 * A quarter circle of radius 50 drawn as one cubic becomes a few arcs, all within 0.01 mm.
 */
export function arcsAlong(curve: (t: number) => Point, tolerance: number): readonly Vertex[] {
  const out: Vertex[] = [];
  const piece = (from: number, to: number, depth: number): void => {
    const at = (share: number): Point => curve(from + share * (to - from));
    const [p, m, q] = [at(0), at(0.5), at(1)];
    const bulge = bulgeThrough(p, m, q);
    const straight = Math.abs(bulge) * Math.hypot(q.x - p.x, q.y - p.y) < tolerance / 50;
    const fitted = segment(p, q, straight ? 0 : bulge);
    const off = Math.max(...LOOKED_AT.map((s) => pointToSegment(at(s), fitted).distance));
    if ((off <= tolerance && Math.abs(bulge) <= 1) || depth >= DEPTH) {
      out.push({ x: p.x, y: p.y, bulge: straight ? 0 : bulge });
      return;
    }
    const middle = (from + to) / 2;
    piece(from, middle, depth + 1);
    piece(middle, to, depth + 1);
  };
  piece(0, 1, 0);
  return out;
}

/** A Bézier curve of any degree by its control points. */
export function bezier(points: readonly Point[]): (t: number) => Point {
  return (t) => {
    let row = points;
    while (row.length > 1) {
      const above = row;
      row = above.slice(1).map((q, i) => {
        const p = above[i] ?? q;
        return { x: p.x + t * (q.x - p.x), y: p.y + t * (q.y - p.y) };
      });
    }
    return row[0] ?? { x: NaN, y: NaN };
  };
}
