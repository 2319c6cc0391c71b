import { circle, roundedRectangle } from './build.js';
import { bounds } from './measures.js';
import { segmentsOf, type Outline, type Point } from './outline.js';

/** A shape stated by its sizes, mm, about its middle. */
export type PlainShape =
  | { readonly kind: 'circle'; readonly at: Point; readonly width: number }
  | { readonly kind: 'rectangle'; readonly at: Point; readonly width: number; readonly height: number; readonly corner: number }
  | { readonly kind: 'other'; readonly at: Point; readonly width: number; readonly height: number };

/** Nearer than this two numbers are one, mm. */
const SAME = 1e-6;

/** Tells a circle or an upright rectangle with round corners by its sizes; anything else by the box round it. */
export function recognise(outline: Outline): PlainShape {
  const b = bounds([outline]);
  const at = { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 };
  const [width, height] = [b.maxX - b.minX, b.maxY - b.minY];
  const arcs = segmentsOf(outline).flatMap((s) => (s.kind === 'arc' ? [s.radius] : []));
  const corner = Math.round((arcs[0] ?? 0) * 1e9) / 1e9;
  if (equal(outline, circle(width, at))) return { kind: 'circle', at, width };
  if (equal(outline, roundedRectangle(width, height, corner, at))) return { kind: 'rectangle', at, width, height, corner };
  return { kind: 'other', at, width, height };
}

/** The outline of a shape stated by its sizes; 'other' is the given outline stretched to them. */
export function shaped(shape: PlainShape, of: Outline): Outline {
  if (shape.kind === 'circle') return circle(shape.width, shape.at);
  if (shape.kind === 'rectangle') return roundedRectangle(shape.width, shape.height, shape.corner, shape.at);
  const was = recognise(of);
  const [kx, ky] = [shape.width / was.width, shape.height / (was.kind === 'circle' ? was.width : was.height)];
  // an arc stretched unevenly is no arc: its ends are kept and its rise with the mean
  return {
    vertices: of.vertices.map((v) => ({ x: shape.at.x + (v.x - was.at.x) * kx, y: shape.at.y + (v.y - was.at.y) * ky, bulge: v.bulge })),
  };
}

/** The same corners, wherever the list begins. */
function equal(a: Outline, b: Outline): boolean {
  const n = a.vertices.length;
  if (n !== b.vertices.length) return false;
  const [first] = b.vertices;
  if (!first) return false;
  const near = (i: number, j: number): boolean => {
    const [p, q] = [a.vertices[(i + j) % n], b.vertices[j]];
    return !!p && !!q && Math.abs(p.x - q.x) < SAME && Math.abs(p.y - q.y) < SAME && Math.abs(p.bulge - q.bulge) < SAME;
  };
  return a.vertices.some((_, i) => b.vertices.every((__, j) => near(i, j)));
}
