import { arcHolds, type ArcSegment, type LineSegment, type Point, type Segment } from './outline.js';

const EPS = 1e-9;

/** The points where two segments cross or touch; none for segments that lie on one another. */
export function intersections(a: Segment, b: Segment): readonly Point[] {
  if (a.kind === 'line') return b.kind === 'line' ? lineLine(a, b) : lineArc(a, b);
  return b.kind === 'line' ? lineArc(b, a) : arcArc(a, b);
}

function lineLine(a: LineSegment, b: LineSegment): Point[] {
  const ux = a.to.x - a.from.x;
  const uy = a.to.y - a.from.y;
  const vx = b.to.x - b.from.x;
  const vy = b.to.y - b.from.y;
  const d = ux * vy - uy * vx;
  if (Math.abs(d) < 1e-12 * Math.hypot(ux, uy) * Math.hypot(vx, vy)) return [];
  const wx = b.from.x - a.from.x;
  const wy = b.from.y - a.from.y;
  const t = (wx * vy - wy * vx) / d;
  const s = (wx * uy - wy * ux) / d;
  if (t < -EPS || t > 1 + EPS || s < -EPS || s > 1 + EPS) return [];
  return [{ x: a.from.x + t * ux, y: a.from.y + t * uy }];
}

function lineArc(l: LineSegment, arc: ArcSegment): Point[] {
  const dx = l.to.x - l.from.x;
  const dy = l.to.y - l.from.y;
  const fx = l.from.x - arc.centre.x;
  const fy = l.from.y - arc.centre.y;
  const a = dx * dx + dy * dy;
  const b = 2 * (fx * dx + fy * dy);
  const c = fx * fx + fy * fy - arc.radius * arc.radius;
  const disc = b * b - 4 * a * c;
  if (disc < 0) return [];
  const root = Math.sqrt(disc);
  const out: Point[] = [];
  for (const t of root === 0 ? [-b / (2 * a)] : [(-b - root) / (2 * a), (-b + root) / (2 * a)]) {
    if (t < -EPS || t > 1 + EPS) continue;
    const p = { x: l.from.x + t * dx, y: l.from.y + t * dy };
    if (arcHolds(arc, Math.atan2(p.y - arc.centre.y, p.x - arc.centre.x))) out.push(p);
  }
  return out;
}

function arcArc(a: ArcSegment, b: ArcSegment): Point[] {
  const dx = b.centre.x - a.centre.x;
  const dy = b.centre.y - a.centre.y;
  const d = Math.hypot(dx, dy);
  if (d < EPS || d > a.radius + b.radius + EPS || d < Math.abs(a.radius - b.radius) - EPS) return [];
  const along = (d * d + a.radius * a.radius - b.radius * b.radius) / (2 * d);
  const h = Math.sqrt(Math.max(0, a.radius * a.radius - along * along));
  const mx = a.centre.x + (along * dx) / d;
  const my = a.centre.y + (along * dy) / d;
  const both = [
    { x: mx - (h * dy) / d, y: my + (h * dx) / d },
    { x: mx + (h * dy) / d, y: my - (h * dx) / d },
  ];
  return (h < EPS ? both.slice(0, 1) : both).filter(
    (p) => arcHolds(a, Math.atan2(p.y - a.centre.y, p.x - a.centre.x)) && arcHolds(b, Math.atan2(p.y - b.centre.y, p.x - b.centre.x)),
  );
}
