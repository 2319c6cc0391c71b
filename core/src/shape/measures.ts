import { arcHolds, length, segmentsOf, type Outline, type Point } from './outline.js';

/** Exact area, mm²; positive whichever way round the outline runs. Rounded rectangle: wh − (4 − π)r² [law]. */
export function area(outline: Outline): number {
  let twice = 0;
  for (const s of segmentsOf(outline)) {
    twice += s.from.x * s.to.y - s.to.x * s.from.y;
    if (s.kind === 'arc') twice += s.radius * s.radius * (s.sweep - Math.sin(s.sweep));
  }
  return Math.abs(twice) / 2;
}

/** Exact perimeter, mm. Rounded rectangle: 2(w + h) − (8 − 2π)r [law]. */
export function perimeter(outline: Outline): number {
  return segmentsOf(outline).reduce((s, seg) => s + length(seg), 0);
}

export interface Bounds {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** The smallest upright box round the outlines; the bulge of arcs counts. */
export function bounds(outlines: readonly Outline[]): Bounds {
  const [only] = outlines;
  if (only && outlines.length === 1) return boundsOf(only);
  const all = outlines.map(boundsOf);
  return {
    minX: Math.min(...all.map((b) => b.minX)),
    minY: Math.min(...all.map((b) => b.minY)),
    maxX: Math.max(...all.map((b) => b.maxX)),
    maxY: Math.max(...all.map((b) => b.maxY)),
  };
}

/** No two points of two boxes are nearer than this, mm; 0 where they meet. A box of 0…1 and one of 4…5, 4 higher: 5 [law]. */
export function betweenBoxes(a: Bounds, b: Bounds): number {
  return Math.hypot(Math.max(0, a.minX - b.maxX, b.minX - a.maxX), Math.max(0, a.minY - b.maxY, b.minY - a.maxY));
}

const boxes = new WeakMap<Outline, Bounds>();

function boundsOf(outline: Outline): Bounds {
  let box = boxes.get(outline);
  if (!box) boxes.set(outline, (box = measureBounds(outline)));
  return box;
}

function measureBounds(outline: Outline): Bounds {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  const take = (p: Point): void => {
    minX = Math.min(minX, p.x);
    maxX = Math.max(maxX, p.x);
    minY = Math.min(minY, p.y);
    maxY = Math.max(maxY, p.y);
  };
  for (const s of segmentsOf(outline)) {
    take(s.from);
    take(s.to);
    if (s.kind !== 'arc') continue;
    for (let q = 0; q < 4; q++) {
      const a = (q * Math.PI) / 2;
      if (arcHolds(s, a)) take({ x: s.centre.x + s.radius * Math.cos(a), y: s.centre.y + s.radius * Math.sin(a) });
    }
  }
  return { minX, minY, maxX, maxY };
}

/** A turn by less than this is no corner: a cutter of radius r leaves r·turn²/8 there, under 0.001 mm up to r 20. */
const SMOOTH = 0.02;

/** Smallest inside radius; 0 where two lines meet in a sharp inside corner. */
export function smallestInsideRadius(outline: Outline): number {
  const segments = segmentsOf(outline);
  let smallest = Infinity;
  const turns = Math.sign(segments.reduce((t, s) => t + s.from.x * s.to.y - s.to.x * s.from.y, 0));
  segments.forEach((s, i) => {
    const next = segments[(i + 1) % segments.length] ?? s;
    if (s.kind === 'arc' && Math.sign(s.sweep) === turns) smallest = Math.min(smallest, s.radius);
    const a = heading(s, 1);
    const b = heading(next, 0);
    if (turns * (a.x * b.y - a.y * b.x) > SMOOTH) smallest = 0;
  });
  return smallest;
}

function heading(s: ReturnType<typeof segmentsOf>[number], end: 0 | 1): Point {
  if (s.kind === 'line') {
    const d = length(s);
    return { x: (s.to.x - s.from.x) / d, y: (s.to.y - s.from.y) / d };
  }
  const a = s.start + end * s.sweep;
  const way = Math.sign(s.sweep);
  return { x: -way * Math.sin(a), y: way * Math.cos(a) };
}
