import { arcsAlong, pointAt, segment, type Point, type Vertex } from '../../shape/index.js';
import { Damage } from '../damage.js';
import { CURVE_TOLERANCE } from '../imported.js';
import { isWhole, spansOf, splinePoint } from '../nurbs.js';
import type { Strand } from '../strand.js';
import { number, numberOf, numbers, type Entity } from './groups.js';

export type Map2 = (p: Point) => Point;

/** An entity as a strand; null for a kind that is not read, and what it is counted as for one that is damaged or lies in space. */
export function strandOf(e: Entity, map: Map2): Strand | string | null {
  switch (e.type) {
    case 'LINE':
      return open([{ ...map(pair(e, 10)), bulge: 0 }], map(pair(e, 11)), e.type);
    case 'CIRCLE': {
      const [m, r] = [pair(e, 10), radius(e)];
      return closed(
        curved((t) => round(m, r, r, 0, 2 * Math.PI * t), map),
        e.type,
      );
    }
    case 'ARC': {
      const [m, r] = [pair(e, 10), radius(e)];
      const from = (number(e, 50) * Math.PI) / 180;
      const sweep = positive((number(e, 51) * Math.PI) / 180 - from);
      const at = (t: number): Point => round(m, r, r, 0, from + t * sweep);
      return open(curved(at, map), map(at(1)), e.type);
    }
    case 'ELLIPSE':
      return ellipse(e, map);
    case 'LWPOLYLINE':
      return polyline(lightVertices(e), (number(e, 70, 0) & 1) === 1, map, e.type);
    case 'POLYLINE':
      return oldPolyline(e, map);
    case 'SPLINE':
      return spline(e, map) ?? 'damaged SPLINE';
    default:
      return null;
  }
}

export const pair = (e: Entity, code: number): Point => ({ x: number(e, code), y: number(e, code + 10) });

function radius(e: Entity): number {
  const r = number(e, 40);
  if (r < 0) throw new Damage(`line ${e.groups.find((g) => g.code === 40)?.line ?? e.line}: ${e.type}`);
  return r;
}

const positive = (angle: number): number => ((angle % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI) || 2 * Math.PI;
const round = (m: Point, a: number, b: number, turn: number, t: number): Point => {
  const [x, y] = [a * Math.cos(t), b * Math.sin(t)];
  return { x: m.x + x * Math.cos(turn) - y * Math.sin(turn), y: m.y + x * Math.sin(turn) + y * Math.cos(turn) };
};
const curved = (at: (t: number) => Point, map: Map2): readonly Vertex[] => arcsAlong((t) => map(at(t)), CURVE_TOLERANCE);
const open = (vertices: readonly Vertex[], end: Point, of: string): Strand => ({ vertices: [...vertices, { ...end, bulge: 0 }], closed: false, of });
const closed = (vertices: readonly Vertex[], of: string): Strand => ({ vertices, closed: true, of });

function ellipse(e: Entity, map: Map2): Strand {
  const m = pair(e, 10);
  const major = pair(e, 11);
  const a = Math.hypot(major.x, major.y);
  const turn = Math.atan2(major.y, major.x);
  const side = number(e, 230, 1) < 0 ? -1 : 1;
  const from = number(e, 41, 0);
  const sweep = positive(number(e, 42, 2 * Math.PI) - from);
  const at = (t: number): Point => round(m, a, side * a * number(e, 40), turn, from + t * sweep);
  return Math.abs(sweep - 2 * Math.PI) < 1e-9 ? closed(curved(at, map), e.type) : open(curved(at, map), map(at(1)), e.type);
}

/** Vertices of a light polyline: each begins with group 10. */
function lightVertices(e: Entity): readonly Vertex[] {
  const out: { x: number; y: number; bulge: number }[] = [];
  for (const g of e.groups) {
    const last = out[out.length - 1];
    if (g.code === 10) out.push({ x: numberOf(g, e.type), y: 0, bulge: 0 });
    else if (g.code === 20 && last) last.y = numberOf(g, e.type);
    else if (g.code === 42 && last) last.bulge = numberOf(g, e.type);
  }
  return out;
}

/** Flags of an old-style polyline and of its vertices [std: DXF, from memory]. */
const IN_SPACE = 8 + 16 + 64;
const FRAME = 16;

/** The frame points of a fitted spline are none of its edge. */
function oldPolyline(e: Entity, map: Map2): Strand | string | null {
  const flags = number(e, 70, 0);
  if ((flags & IN_SPACE) !== 0) return 'POLYLINE in space';
  const vertices = (e.vertices ?? []).filter((v) => (number(v, 70, 0) & FRAME) === 0).map((v) => ({ ...pair(v, 10), bulge: number(v, 42, 0) }));
  return polyline(vertices, (flags & 1) === 1, map, e.type);
}

function polyline(vertices: readonly Vertex[], isClosed: boolean, map: Map2, of: string): Strand | string {
  if (vertices.length < 2) return `${of} without points`;
  const pieces = isClosed ? vertices.length : vertices.length - 1;
  const out = vertices.slice(0, pieces).flatMap((v, i): readonly Vertex[] => {
    const next = vertices[(i + 1) % vertices.length] ?? v;
    if (v.bulge === 0) return [{ ...map(v), bulge: 0 }];
    const arc = segment(v, next, v.bulge);
    return curved((t) => pointAt(arc, t), map);
  });
  const last = vertices[vertices.length - 1] ?? { x: 0, y: 0 };
  return isClosed ? closed(out, of) : open(out, map(last), of);
}

/** Null for one whose knots, points and weights do not belong together. */
function spline(e: Entity, map: Map2): Strand | null {
  const [xs, ys, given] = [numbers(e, 10), numbers(e, 20), numbers(e, 41)];
  const points = xs.flatMap((x, i) => (ys[i] === undefined ? [] : [{ x, y: ys[i] }]));
  const s = { degree: number(e, 71, 0), knots: numbers(e, 40), points, weights: given.length > 0 ? given : points.map(() => 1) };
  if (!isWhole(s)) return null;
  const spans = spansOf(s);
  const vertices = spans.slice(1).flatMap((to, i) => {
    const from = spans[i] ?? 0;
    return curved((t) => splinePoint(s, from + t * (to - from)), map);
  });
  return open(vertices, map(splinePoint(s, spans[spans.length - 1] ?? 1)), e.type);
}
