import { intersections } from './intersections.js';
import { arcHolds, type ArcSegment, type LineSegment, type Point, type Segment } from './outline.js';

/** The shortest way between two things: its length and its ends, mm. */
export interface Nearest {
  readonly distance: number;
  readonly a: Point;
  readonly b: Point;
}

/** From a point to the nearest point of a segment. */
export function pointToSegment(p: Point, s: Segment): Nearest {
  return s.kind === 'line' ? pointToLine(p, s) : pointToArc(p, s);
}

function pointToLine(p: Point, s: LineSegment): Nearest {
  const dx = s.to.x - s.from.x;
  const dy = s.to.y - s.from.y;
  const squared = dx * dx + dy * dy;
  const t = squared === 0 ? 0 : Math.max(0, Math.min(1, ((p.x - s.from.x) * dx + (p.y - s.from.y) * dy) / squared));
  return pair(p, { x: s.from.x + t * dx, y: s.from.y + t * dy });
}

function pointToArc(p: Point, s: ArcSegment): Nearest {
  const angle = Math.atan2(p.y - s.centre.y, p.x - s.centre.x);
  if (arcHolds(s, angle)) return pair(p, onCircle(s, angle));
  return nearer(pair(p, s.from), pair(p, s.to));
}

/** Between two segments; 0 where they cross. Candidates: ends, feet, and the line of centres [law]. */
export function segmentToSegment(a: Segment, b: Segment): Nearest {
  const crossing = intersections(a, b)[0];
  if (crossing) return { distance: 0, a: crossing, b: crossing };
  let best = nearer(pointToSegment(a.from, b), pointToSegment(a.to, b));
  best = nearer(best, nearer(flip(pointToSegment(b.from, a)), flip(pointToSegment(b.to, a))));
  if (a.kind === 'arc' && b.kind === 'line') best = nearer(best, arcToLine(a, b));
  if (a.kind === 'line' && b.kind === 'arc') best = nearer(best, flip(arcToLine(b, a)));
  if (a.kind === 'arc' && b.kind === 'arc') best = nearer(best, arcToArc(a, b));
  return best;
}

const FAR: Nearest = { distance: Infinity, a: { x: 0, y: 0 }, b: { x: 0, y: 0 } };

function arcToLine(arc: ArcSegment, line: LineSegment): Nearest {
  const foot = pointToLine(arc.centre, line).b;
  const angle = Math.atan2(foot.y - arc.centre.y, foot.x - arc.centre.x);
  return arcHolds(arc, angle) ? pair(onCircle(arc, angle), foot) : FAR;
}

function arcToArc(a: ArcSegment, b: ArcSegment): Nearest {
  const angle = Math.atan2(b.centre.y - a.centre.y, b.centre.x - a.centre.x);
  let best = FAR;
  for (const p of [angle, angle + Math.PI]) {
    if (!arcHolds(a, p)) continue;
    for (const q of [angle, angle + Math.PI]) {
      if (arcHolds(b, q)) best = nearer(best, pair(onCircle(a, p), onCircle(b, q)));
    }
  }
  return best;
}

export interface Box {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** A box that surely holds the segment; arcs take their whole circle when they pass a half turn. */
export function segmentBox(s: Segment): Box {
  const grow = s.kind === 'arc' ? s.radius * (Math.abs(s.sweep) > Math.PI / 2 + 1e-9 ? 2 : 1 - Math.SQRT1_2 + 1e-9) : 0;
  return {
    minX: Math.min(s.from.x, s.to.x) - grow,
    minY: Math.min(s.from.y, s.to.y) - grow,
    maxX: Math.max(s.from.x, s.to.x) + grow,
    maxY: Math.max(s.from.y, s.to.y) + grow,
  };
}

function onCircle(s: ArcSegment, angle: number): Point {
  return { x: s.centre.x + s.radius * Math.cos(angle), y: s.centre.y + s.radius * Math.sin(angle) };
}

function pair(a: Point, b: Point): Nearest {
  const dx = a.x - b.x;
  const dy = a.y - b.y;
  return { distance: Math.sqrt(dx * dx + dy * dy), a, b };
}

function nearer(p: Nearest, q: Nearest): Nearest {
  return q.distance < p.distance ? q : p;
}

function flip(n: Nearest): Nearest {
  return { distance: n.distance, a: n.b, b: n.a };
}
