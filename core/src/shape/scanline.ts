import { containsPoint } from './contains.js';
import { intersections } from './intersections.js';
import { segmentsOf, type Outline } from './outline.js';
import { bounds } from './measures.js';

/** From where to where something reaches along a line, mm. */
export interface Interval {
  readonly from: number;
  readonly to: number;
}

/** Where an outline is cut by the line y = const, as intervals of x from left to right. */
export function crossings(outline: Outline, y: number): readonly Interval[] {
  const box = bounds([outline]);
  if (y <= box.minY || y >= box.maxY) return [];
  const line = { kind: 'line' as const, from: { x: box.minX - 1, y }, to: { x: box.maxX + 1, y } };
  const xs = segmentsOf(outline)
    .flatMap((s) => intersections(s, line).map((p) => p.x))
    .sort((a, b) => a - b)
    .filter((x, i, all) => i === 0 || x - (all[i - 1] ?? x) > 1e-6);
  const out: Interval[] = [];
  for (let i = 0; i + 1 < xs.length; i++) {
    const [from, to] = [xs[i] ?? 0, xs[i + 1] ?? 0];
    // a line that only touches a corner is inside on both sides of it or on neither
    if (!containsPoint(outline, { x: (from + to) / 2, y })) continue;
    const last = out.at(-1);
    if (last?.to === from) out[out.length - 1] = { from: last.from, to };
    else out.push({ from, to });
  }
  return out;
}
