/** A point in the plan, mm. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

export function toPoint(x: number, y: number): Point {
  return { x, y };
}

/** A corner and the curve to the next one: bulge = tan(sweep / 4), 0 a line; a positive sweep turns x towards y. */
export interface Vertex extends Point {
  readonly bulge: number;
}

/** A closed list of lines and arcs, mm, in the frame of what carries it. */
export interface Outline {
  readonly vertices: readonly Vertex[];
}

export interface LineSegment {
  readonly kind: 'line';
  readonly from: Point;
  readonly to: Point;
}

export interface ArcSegment {
  readonly kind: 'arc';
  readonly from: Point;
  readonly to: Point;
  readonly centre: Point;
  readonly radius: number;
  /** Angle of `from` seen from the centre, radians. */
  readonly start: number;
  /** Signed, radians. */
  readonly sweep: number;
}

export type Segment = LineSegment | ArcSegment;

const cache = new WeakMap<Outline, readonly Segment[]>();

/** The outline's lines and arcs in order; computed once for each outline. */
export function segmentsOf(outline: Outline): readonly Segment[] {
  let segments = cache.get(outline);
  if (!segments) {
    const v = outline.vertices;
    segments = v.map((p, i) => segment(p, v[(i + 1) % v.length] ?? p, p.bulge)).filter((s) => s.kind === 'arc' || length(s) > 0);
    cache.set(outline, segments);
  }
  return segments;
}

/** The line or arc from one point to another with the given bulge. */
export function segment(p: Point, q: Point, bulge: number): Segment {
  const from = { x: p.x, y: p.y };
  const to = { x: q.x, y: q.y };
  const dx = to.x - from.x;
  const dy = to.y - from.y;
  if (bulge === 0 || (dx === 0 && dy === 0)) return { kind: 'line', from, to };
  const k = (1 - bulge * bulge) / (4 * bulge);
  const centre = { x: (from.x + to.x) / 2 - dy * k, y: (from.y + to.y) / 2 + dx * k };
  return {
    kind: 'arc',
    from,
    to,
    centre,
    radius: (Math.hypot(dx, dy) * (1 + bulge * bulge)) / (4 * Math.abs(bulge)),
    start: Math.atan2(from.y - centre.y, from.x - centre.x),
    sweep: 4 * Math.atan(bulge),
  };
}

export function length(s: Segment): number {
  if (s.kind === 'arc') return Math.abs(s.sweep) * s.radius;
  const [dx, dy] = [s.to.x - s.from.x, s.to.y - s.from.y];
  return Math.sqrt(dx * dx + dy * dy);
}

/** The point at the share t (0 to 1) of a segment's length. */
export function pointAt(s: Segment, t: number): Point {
  if (s.kind === 'line') return { x: s.from.x + t * (s.to.x - s.from.x), y: s.from.y + t * (s.to.y - s.from.y) };
  const a = s.start + t * s.sweep;
  return { x: s.centre.x + s.radius * Math.cos(a), y: s.centre.y + s.radius * Math.sin(a) };
}

/** Is a direction from the arc's centre within its sweep? */
export function arcHolds(s: ArcSegment, angle: number): boolean {
  const TWO_PI = 2 * Math.PI;
  const turned = (s.sweep > 0 ? angle - s.start : s.start - angle) % TWO_PI;
  const positive = turned < -1e-12 ? turned + TWO_PI : Math.max(0, turned);
  return positive <= Math.abs(s.sweep) + 1e-12;
}
