import { segmentBox, segmentToSegment, type Nearest } from './distance.js';
import { pointAt, type Point, type Segment } from './outline.js';

/** An edge laid out in plain numbers, so that thousands of distances are worked out without making an object for each. */
interface Laid {
  readonly of: readonly Segment[];
  /**
   * WIDE numbers a segment: its box, its ends, of an arc its centre, radius, the direction of its middle and the cosine of half its sweep; then its middle and how far
   * from there its furthest points are.
   */
  readonly s: Float64Array;
  /** The boxes of runs of segments that follow one another: what is far from the box is far from each of them. */
  readonly runs: Float64Array;
  /** The segment that lay nearest to the last point that was asked about. */
  last: number;
}

const WIDE = 18;
const [FROM_X, FROM_Y, TO_X, TO_Y, IS_ARC, CENTRE_X, CENTRE_Y, RADIUS, MID_X, MID_Y, COS_HALF, HALFWAY_X, HALFWAY_Y, REACH] = [
  4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17,
] as const;
/** How many segments one run has. */
const RUN = 8;
/** An end of an arc is still on it, as a share of its distance. */
const ON_ARC = 1e-12;

const laid = new WeakMap<readonly Segment[], Laid>();

function layOut(segments: readonly Segment[]): Laid {
  const known = laid.get(segments);
  if (known) return known;
  const made: Laid = { of: segments, s: numbersOf(segments), runs: new Float64Array(4 * Math.ceil(segments.length / RUN)), last: 0 };
  for (let r = 0; r < made.runs.length; r += 4) boxOfRun(made, r);
  laid.set(segments, made);
  return made;
}

function boxOfRun({ of, s, runs }: Laid, r: number): void {
  const begin = (r / 4) * RUN;
  let minX = Infinity;
  let minY = Infinity;
  let maxX = -Infinity;
  let maxY = -Infinity;
  for (let k = WIDE * begin; k < WIDE * Math.min(of.length, begin + RUN); k += WIDE) {
    minX = Math.min(minX, at(s, k));
    minY = Math.min(minY, at(s, k + 1));
    maxX = Math.max(maxX, at(s, k + 2));
    maxY = Math.max(maxY, at(s, k + 3));
  }
  runs[r] = minX;
  runs[r + 1] = minY;
  runs[r + 2] = maxX;
  runs[r + 3] = maxY;
}

function numbersOf(segments: readonly Segment[]): Float64Array {
  const s = new Float64Array(WIDE * segments.length);
  segments.forEach((seg, i) => {
    const k = WIDE * i;
    const box = segmentBox(seg);
    s[k] = box.minX;
    s[k + 1] = box.minY;
    s[k + 2] = box.maxX;
    s[k + 3] = box.maxY;
    s[k + FROM_X] = seg.from.x;
    s[k + FROM_Y] = seg.from.y;
    s[k + TO_X] = seg.to.x;
    s[k + TO_Y] = seg.to.y;
    const middle = pointAt(seg, 0.5);
    s[k + HALFWAY_X] = middle.x;
    s[k + HALFWAY_Y] = middle.y;
    // of an arc, too, the ends lie furthest from its middle
    s[k + REACH] = Math.sqrt((seg.from.x - middle.x) ** 2 + (seg.from.y - middle.y) ** 2);
    if (seg.kind === 'line') return;
    const { centre, radius, sweep } = seg;
    s[k + IS_ARC] = 1;
    s[k + CENTRE_X] = centre.x;
    s[k + CENTRE_Y] = centre.y;
    s[k + RADIUS] = radius;
    s[k + MID_X] = (middle.x - centre.x) / radius;
    s[k + MID_Y] = (middle.y - centre.y) / radius;
    s[k + COS_HALF] = Math.cos(sweep / 2);
  });
  return s;
}

/** An index that is there by construction. */
const at = (a: Float64Array, i: number): number => a[i] as number;

/** The square of a distance that what lies in two boxes cannot be below. */
function boxesSquared(a: Float64Array, i: number, b: Float64Array, j: number): number {
  const right = at(a, i) - at(b, j + 2);
  const left = at(b, j) - at(a, i + 2);
  const below = at(a, i + 1) - at(b, j + 3);
  const above = at(b, j + 1) - at(a, i + 3);
  const dx = right > 0 ? right : left > 0 ? left : 0;
  const dy = below > 0 ? below : above > 0 ? above : 0;
  return dx * dx + dy * dy;
}

/** The shortest way between two edges; the infinitely far one where either has no segment. */
export function nearest(a: readonly Segment[], b: readonly Segment[]): Nearest {
  if (a.length === 0 || b.length === 0) return { distance: Infinity, a: { x: 0, y: 0 }, b: { x: 0, y: 0 } };
  const [A, B] = [layOut(a), layOut(b)];
  const best: Best = { A, B, squared: Infinity, i: -1, j: -1 };
  // some points of one edge are held against the other first: what they find rules most of the others out
  const first = nearestOfSome(A, B);
  look(best, first, B.last, boxesSquared(A.s, WIDE * first, B.s, WIDE * B.last));
  for (let r = 0; r < A.runs.length && best.squared > 0; r += 4) {
    const [x, y] = [(at(A.runs, r) + at(A.runs, r + 2)) / 2, (at(A.runs, r + 1) + at(A.runs, r + 3)) / 2];
    if (!mayBeNear(B, { x, y, reach: Math.hypot(x - at(A.runs, r), y - at(A.runs, r + 1)) }, best.squared)) continue;
    const end = Math.min(a.length, (r / 4 + 1) * RUN);
    for (let i = (r / 4) * RUN; i < end && best.squared > 0; i++) lookAlong(best, i);
  }
  return segmentToSegment(a[best.i] as Segment, b[best.j] as Segment);
}

/** The segment of the first edge, of one in each run, whose middle lies nearest to the second; the one that it lies nearest to is the second's last. */
function nearestOfSome(A: Laid, B: Laid): number {
  let found = 0;
  let least = Infinity;
  for (let i = 0; i < A.of.length; i += RUN) {
    const squared = nearTo(B, at(A.s, WIDE * i + HALFWAY_X), at(A.s, WIDE * i + HALFWAY_Y), least);
    if (squared >= least) continue;
    least = squared;
    found = i;
  }
  return found;
}

/** Of two edges laid out, the pair of segments that lies nearest so far. */
interface Best {
  readonly A: Laid;
  readonly B: Laid;
  squared: number;
  i: number;
  j: number;
}

/** One segment against all of the other edge that may be near it. */
function lookAlong(best: Best, i: number): void {
  const { A, B } = best;
  const k = WIDE * i;
  if (!mayBeNear(B, { x: at(A.s, k + HALFWAY_X), y: at(A.s, k + HALFWAY_Y), reach: at(A.s, k + REACH) }, best.squared)) return;
  for (let r = 0; r < B.runs.length && best.squared > 0; r += 4) {
    if (boxesSquared(A.s, k, B.runs, r) >= best.squared) continue;
    const end = Math.min(B.of.length, (r / 4 + 1) * RUN);
    for (let j = (r / 4) * RUN; j < end && best.squared > 0; j++) {
      const apart = boxesSquared(A.s, k, B.s, WIDE * j);
      if (apart < best.squared) look(best, i, j, apart);
    }
  }
}

/** Can anything within `reach` of a point be nearer to an edge than `known`? */
function mayBeNear(B: Laid, { x, y, reach }: Point & { readonly reach: number }, known: number): boolean {
  const within = Math.sqrt(known) + reach;
  const squared = within * within;
  return pointSquared(B.s, WIDE * B.last, x, y) < squared || nearTo(B, x, y, squared) < squared;
}

function look(best: Best, i: number, j: number, apart: number): void {
  const { A, B } = best;
  if (isBeyond(A.s, WIDE * i, B.s, WIDE * j, best.squared)) return;
  const squared = apart === 0 ? meeting(A, i, B, j) : apartSquared(A.s, WIDE * i, B.s, WIDE * j, best.squared);
  if (squared >= best.squared) return;
  best.squared = squared;
  best.i = i;
  best.j = j;
}

/** Is no point of two segments as near as `known`? Said by the middle of the shorter one, all of which lies round there. */
function isBeyond(a: Float64Array, i: number, b: Float64Array, j: number, known: number): boolean {
  const [reachA, reachB] = [at(a, i + REACH), at(b, j + REACH)];
  const squared =
    reachA <= reachB ? pointSquared(b, j, at(a, i + HALFWAY_X), at(a, i + HALFWAY_Y)) : pointSquared(a, i, at(b, j + HALFWAY_X), at(b, j + HALFWAY_Y));
  const beyond = Math.sqrt(known) + Math.min(reachA, reachB);
  return squared > beyond * beyond;
}

/** Two segments whose boxes meet may cross: that is asked of the segments themselves. */
function meeting(A: Laid, i: number, B: Laid, j: number): number {
  const { distance } = segmentToSegment(A.of[i] as Segment, B.of[j] as Segment);
  return distance * distance;
}

/** Two segments that do not meet: candidates are the ends, the feet, and the line of centres [law]. Nothing that is not below `known` is of interest. */
function apartSquared(a: Float64Array, i: number, b: Float64Array, j: number, known: number): number {
  let least = known;
  least = Math.min(least, pointSquared(a, i, at(b, j + FROM_X), at(b, j + FROM_Y)));
  least = Math.min(least, pointSquared(a, i, at(b, j + TO_X), at(b, j + TO_Y)));
  least = Math.min(least, pointSquared(b, j, at(a, i + FROM_X), at(a, i + FROM_Y)));
  least = Math.min(least, pointSquared(b, j, at(a, i + TO_X), at(a, i + TO_Y)));
  const arcA = at(a, i + IS_ARC) === 1;
  const arcB = at(b, j + IS_ARC) === 1;
  if (arcA && arcB) return Math.min(least, centresSquared(a, i, b, j));
  if (arcA) return Math.min(least, footSquared(a, i, b, j));
  return arcB ? Math.min(least, footSquared(b, j, a, i)) : least;
}

function holds(s: Float64Array, i: number, dx: number, dy: number, d: number): boolean {
  return dx * at(s, i + MID_X) + dy * at(s, i + MID_Y) >= d * (at(s, i + COS_HALF) - ON_ARC);
}

function pointSquared(s: Float64Array, i: number, x: number, y: number): number {
  const fx = at(s, i + FROM_X);
  const fy = at(s, i + FROM_Y);
  const tx = at(s, i + TO_X);
  const ty = at(s, i + TO_Y);
  if (at(s, i + IS_ARC) === 1) {
    const vx = x - at(s, i + CENTRE_X);
    const vy = y - at(s, i + CENTRE_Y);
    const d = Math.sqrt(vx * vx + vy * vy);
    if (holds(s, i, vx, vy, d)) return (d - at(s, i + RADIUS)) ** 2;
    return Math.min((x - fx) ** 2 + (y - fy) ** 2, (x - tx) ** 2 + (y - ty) ** 2);
  }
  const dx = tx - fx;
  const dy = ty - fy;
  const squared = dx * dx + dy * dy;
  const t = squared === 0 ? 0 : Math.max(0, Math.min(1, ((x - fx) * dx + (y - fy) * dy) / squared));
  const px = x - fx - t * dx;
  const py = y - fy - t * dy;
  return px * px + py * py;
}

/** From an arc to the foot of its centre on a line. */
function footSquared(arc: Float64Array, i: number, line: Float64Array, j: number): number {
  const cx = at(arc, i + CENTRE_X);
  const cy = at(arc, i + CENTRE_Y);
  const fx = at(line, j + FROM_X);
  const fy = at(line, j + FROM_Y);
  const dx = at(line, j + TO_X) - fx;
  const dy = at(line, j + TO_Y) - fy;
  const squared = dx * dx + dy * dy;
  const t = squared === 0 ? 0 : Math.max(0, Math.min(1, ((cx - fx) * dx + (cy - fy) * dy) / squared));
  const vx = fx + t * dx - cx;
  const vy = fy + t * dy - cy;
  const d = Math.sqrt(vx * vx + vy * vy);
  return holds(arc, i, vx, vy, d) ? (d - at(arc, i + RADIUS)) ** 2 : Infinity;
}

/** Between two arcs along the line of their centres. */
function centresSquared(a: Float64Array, i: number, b: Float64Array, j: number): number {
  const vx = at(b, j + CENTRE_X) - at(a, i + CENTRE_X);
  const vy = at(b, j + CENTRE_Y) - at(a, i + CENTRE_Y);
  const d = Math.sqrt(vx * vx + vy * vy);
  const ux = d === 0 ? 1 : vx / d;
  const uy = d === 0 ? 0 : vy / d;
  let least = Infinity;
  for (let p = 1; p >= -1; p -= 2) {
    if (!holds(a, i, p * ux, p * uy, 1)) continue;
    for (let q = 1; q >= -1; q -= 2) if (holds(b, j, q * ux, q * uy, 1)) least = Math.min(least, Math.abs(d + q * at(b, j + RADIUS) - p * at(a, i + RADIUS)));
  }
  return least * least;
}

/** Boxes that touch within this meet, mm. */
const TOUCH = 1e-6;

/** The segments of an edge that a segment can meet at all: those whose boxes do. */
export function nearSegments(s: Segment, edge: readonly Segment[]): readonly Segment[] {
  const { minX, minY, maxX, maxY } = segmentBox(s);
  const { s: boxes } = layOut(edge);
  return edge.filter((_, i) => {
    const k = WIDE * i;
    return at(boxes, k) <= maxX + TOUCH && at(boxes, k + 2) >= minX - TOUCH && at(boxes, k + 1) <= maxY + TOUCH && at(boxes, k + 3) >= minY - TOUCH;
  });
}

/** How far a point is from an edge, mm. What lay nearest last is looked at first: points are mostly asked for along an edge, and it rules most of the others out. */
export function distanceToEdge(edge: readonly Segment[], { x, y }: Point): number {
  const laid = layOut(edge);
  if (edge.length === 0) return Infinity;
  return Math.sqrt(nearTo(laid, x, y, pointSquared(laid.s, WIDE * laid.last, x, y)));
}

/** The square of the distance from a point to what lies nearer than `known`, which is then the last; `known` where nothing does. */
function nearTo(laid: Laid, x: number, y: number, known: number): number {
  const { s, runs, of } = laid;
  let least = known;
  for (let r = 0; r < runs.length; r += 4) {
    if (boxSquared(runs, r, x, y) >= least) continue;
    const end = Math.min(of.length, (r / 4 + 1) * RUN);
    for (let i = (r / 4) * RUN; i < end; i++) {
      if (boxSquared(s, WIDE * i, x, y) >= least) continue;
      const squared = pointSquared(s, WIDE * i, x, y);
      if (squared >= least) continue;
      least = squared;
      laid.last = i;
    }
  }
  return least;
}

/** The square of a distance that what lies in a box cannot be below. */
function boxSquared(a: Float64Array, i: number, x: number, y: number): number {
  const dx = Math.max(0, at(a, i) - x, x - at(a, i + 2));
  const dy = Math.max(0, at(a, i + 1) - y, y - at(a, i + 3));
  return dx * dx + dy * dy;
}
