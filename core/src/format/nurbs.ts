import type { Point } from '../shape/index.js';

/** A spline as CAD writes it: control points with weights over a list of knots. */
export interface Spline {
  readonly degree: number;
  readonly knots: readonly number[];
  readonly points: readonly Point[];
  /** One for each point; all 1 for a plain spline. */
  readonly weights: readonly number[];
}

/** Is it a spline that can be drawn: knots in order and as many as degree and points ask for? */
export function isWhole(s: Spline): boolean {
  const n = s.points.length;
  return (
    s.degree >= 1 &&
    n > s.degree &&
    s.weights.length === n &&
    s.knots.length === n + s.degree + 1 &&
    s.knots.every((k, i) => i === 0 || k >= (s.knots[i - 1] ?? k))
  );
}

/** The point of a spline at a knot value, by de Boor's scheme with weights [law]. */
export function splinePoint(s: Spline, u: number): Point {
  const { degree, knots, points, weights } = s;
  const knot = (i: number): number => knots[i] ?? 0;
  const span = spanAt(s, u);
  const d = Array.from({ length: degree + 1 }, (_, j) => {
    const i = span - degree + j;
    const w = weights[i] ?? 1;
    return { x: (points[i]?.x ?? 0) * w, y: (points[i]?.y ?? 0) * w, w };
  });
  for (let r = 1; r <= degree; r++) {
    for (let j = degree; j >= r; j--) {
      const i = span - degree + j;
      const width = knot(i + degree - r + 1) - knot(i);
      const a = width === 0 ? 0 : (u - knot(i)) / width;
      const [p, q] = [d[j - 1], d[j]];
      if (p && q) d[j] = { x: (1 - a) * p.x + a * q.x, y: (1 - a) * p.y + a * q.y, w: (1 - a) * p.w + a * q.w };
    }
  }
  const end = d[degree] ?? { x: 0, y: 0, w: 1 };
  return { x: end.x / end.w, y: end.y / end.w };
}

/** The last knot that is not beyond a value, among those of the range. */
function spanAt({ degree, knots, points }: Spline, u: number): number {
  let [low, high] = [degree, points.length - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (u >= (knots[middle] ?? 0)) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** Where a spline begins, its pieces join and it ends: each distinct knot of its range. */
export function spansOf(s: Spline): readonly number[] {
  const [from, to] = [s.knots[s.degree] ?? 0, s.knots[s.points.length] ?? 1];
  return [...new Set(s.knots.filter((k) => k >= from && k <= to))];
}
