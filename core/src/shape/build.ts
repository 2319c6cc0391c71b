import type { Outline, Point, Vertex } from './outline.js';

/** tan(90° / 4): the bulge of a quarter circle. */
const QUARTER = Math.tan(Math.PI / 8);

/** A rectangle with round corners, centred on `at`; the radius is held to half the shorter side. Area wh − (4 − π)r² [law]. */
export function roundedRectangle(width: number, height: number, radius: number, at: Point = { x: 0, y: 0 }): Outline {
  const r = Math.max(0, Math.min(radius, width / 2, height / 2));
  const [l, t, w, h] = [at.x - width / 2, at.y - height / 2, at.x + width / 2, at.y + height / 2];
  if (r === 0) return { vertices: [corner(l, t), corner(w, t), corner(w, h), corner(l, h)] };
  const raw: readonly Vertex[] = [
    corner(l + r, t),
    corner(w - r, t, QUARTER),
    corner(w, t + r),
    corner(w, h - r, QUARTER),
    corner(w - r, h),
    corner(l + r, h, QUARTER),
    corner(l, h - r),
    corner(l, t + r, QUARTER),
  ];
  return { vertices: raw };
}

export function circle(diameter: number, at: Point = { x: 0, y: 0 }): Outline {
  const r = diameter / 2;
  return { vertices: [corner(at.x - r, at.y, 1), corner(at.x + r, at.y, 1)] };
}

/** Two half circles joined by straight sides: a rectangle whose corners are half its shorter side. */
export function stadium(width: number, height: number, at: Point = { x: 0, y: 0 }): Outline {
  if (width === height) return circle(width, at);
  const r = Math.min(width, height) / 2;
  const [dx, dy] = width > height ? [width / 2 - r, 0] : [0, height / 2 - r];
  return width > height
    ? { vertices: [corner(at.x - dx, at.y - r), corner(at.x + dx, at.y - r, 1), corner(at.x + dx, at.y + r), corner(at.x - dx, at.y + r, 1)] }
    : { vertices: [corner(at.x + r, at.y - dy), corner(at.x + r, at.y + dy, 1), corner(at.x - r, at.y + dy), corner(at.x - r, at.y - dy, 1)] };
}

/**
 * An ellipse as arcs through points of it, sixteen to a quarter; area π a b within 0.01 % [law].
 */
export function ellipse(width: number, height: number, at: Point = { x: 0, y: 0 }): Outline {
  const [a, b] = [width / 2, height / 2];
  const n = 64;
  const on = (i: number): Point => ({ x: at.x + a * Math.cos((2 * Math.PI * i) / n), y: at.y + b * Math.sin((2 * Math.PI * i) / n) });
  return {
    vertices: Array.from({ length: n }, (_, i) => {
      const [p, m, q] = [on(i), on(i + 0.5), on(i + 1)];
      return corner(p.x, p.y, bulgeThrough(p, m, q));
    }),
  };
}

/** The bulge of the arc from p to q through m: the rise over half the chord, positive where the arc turns x towards y. */
export function bulgeThrough(p: Point, m: Point, q: Point): number {
  const chord = Math.hypot(q.x - p.x, q.y - p.y);
  if (chord === 0) return 0;
  const rise = ((m.x - p.x) * (q.y - p.y) - (m.y - p.y) * (q.x - p.x)) / chord;
  return rise / (chord / 2);
}

/** Straight lines through the points, each corner rounded by a tangent arc of the radius. Throws when an edge is too short for its corners. */
export function filletedPolygon(points: readonly Point[], radius: number): Outline {
  const n = points.length;
  if (n < 3) throw new RangeError('a polygon has three corners or more');
  if (radius === 0) return { vertices: points.map((p) => corner(p.x, p.y)) };
  const setback: number[] = [];
  const vertices: Vertex[] = [];
  for (let i = 0; i < n; i++) {
    const p = at(points, i);
    const a = unit(p, at(points, i + n - 1));
    const b = unit(p, at(points, i + 1));
    const angle = Math.acos(Math.max(-1, Math.min(1, a.x * b.x + a.y * b.y)));
    const d = radius / Math.tan(angle / 2);
    setback.push(d);
    const turn = Math.PI - angle;
    const left = a.x * b.y - a.y * b.x < 0 ? 1 : -1;
    vertices.push(corner(p.x + a.x * d, p.y + a.y * d, left * Math.tan(turn / 4)), corner(p.x + b.x * d, p.y + b.y * d));
  }
  for (let i = 0; i < n; i++) {
    const p = at(points, i);
    const q = at(points, i + 1);
    if ((setback[i] ?? 0) + (setback[(i + 1) % n] ?? 0) > Math.hypot(q.x - p.x, q.y - p.y) + 1e-9) {
      throw new RangeError('an edge is too short for the radius of its corners');
    }
  }
  return { vertices };
}

function corner(x: number, y: number, bulge = 0): Vertex {
  return { x, y, bulge };
}

function at(points: readonly Point[], i: number): Point {
  const p = points[i % points.length];
  if (!p) throw new RangeError('no such corner');
  return p;
}

function unit(from: Point, to: Point): Point {
  const d = Math.hypot(to.x - from.x, to.y - from.y);
  if (d === 0) throw new RangeError('two corners are one point');
  return { x: (to.x - from.x) / d, y: (to.y - from.y) / d };
}
