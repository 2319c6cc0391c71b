import type { Point } from '../shape/index.js';

/** A place of a pattern: where it is, and how far it is to the next one, mm. */
export interface PatternPlace extends Point {
  readonly toNext: number;
}

/** Places that are carried over together, with the lengths that prove it: from each to the next, round to the first, and the longest of all. */
export interface Pattern {
  readonly places: readonly PatternPlace[];
  readonly longest: { readonly from: number; readonly to: number; readonly length: number };
}

/** A 3–4–5 triangle: 3, 5 and 4 from one to the next, the longest from the second to the third. Null for less than two places. */
export function patternOf(points: readonly Point[]): Pattern | null {
  if (points.length < 2) return null;
  const apart = (a: number, b: number): number => Math.hypot((points[a]?.x ?? 0) - (points[b]?.x ?? 0), (points[a]?.y ?? 0) - (points[b]?.y ?? 0));
  const places = points.map(({ x, y }, i) => ({ x, y, toNext: apart(i, (i + 1) % points.length) }));
  let longest = { from: 0, to: 1, length: apart(0, 1) };
  for (let i = 0; i < points.length; i++)
    for (let j = i + 1; j < points.length; j++) if (apart(i, j) > longest.length) longest = { from: i, to: j, length: apart(i, j) };
  return { places, longest };
}
