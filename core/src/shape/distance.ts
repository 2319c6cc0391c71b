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

/** The shortest way between two lists of segments. */
export function nearest(a: readonly Segment[], b: readonly Segment[]): Nearest {
  const [runs, others] = [runsOf(a), runsOf(b)];
  const [one, other] = [runs[0], others[0]];
  if (one && other && runs.length * others.length === 1) return nearestOf(one.segments, other.segments, FAR);
  let best = FAR;
  // the runs that lie nearest first: what they find rules most of the others out
  for (const pair of pairsOf(runs, others)) {
    if (pair.apart >= best.distance) break;
    best = nearestOf(pair.run.segments, pair.other.segments, best);
    if (best.distance === 0) return best;
  }
  return best;
}

function pairsOf(runs: readonly Run[], others: readonly Run[]): readonly { readonly run: Run; readonly other: Run; readonly apart: number }[] {
  return runs.flatMap((run) => others.map((other) => ({ run, other, apart: boxesApart(run.box, other.box) }))).sort((p, q) => p.apart - q.apart);
}

function nearestOf(a: readonly Segment[], b: readonly Segment[], known: Nearest): Nearest {
  let best = known;
  for (const s of a) {
    for (const t of b) {
      if (boxesApart(segmentBox(s), segmentBox(t)) >= best.distance) continue;
      best = nearer(best, segmentToSegment(s, t));
      if (best.distance === 0) return best;
    }
  }
  return best;
}

/** Segments that follow one another, with a box that holds them: what is far from the box is far from each of them. */
interface Run {
  readonly segments: readonly Segment[];
  readonly box: Box;
}

/** How many segments one run has: long outlines are looked at in runs, short ones whole. */
const RUN = 10;

const runs = new WeakMap<readonly Segment[], readonly Run[]>();

function runsOf(segments: readonly Segment[]): readonly Run[] {
  let list = runs.get(segments);
  if (!list) {
    list = Array.from({ length: Math.ceil(segments.length / RUN) }, (_, i): Run => {
      const some = segments.slice(i * RUN, (i + 1) * RUN);
      return { segments: some, box: boxOf(some) };
    });
    runs.set(segments, list);
  }
  return list;
}

function boxOf(segments: readonly Segment[]): Box {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const s of segments) {
    const b = segmentBox(s);
    minX = Math.min(minX, b.minX);
    minY = Math.min(minY, b.minY);
    maxX = Math.max(maxX, b.maxX);
    maxY = Math.max(maxY, b.maxY);
  }
  return { minX, minY, maxX, maxY };
}

export interface Box {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

const boxes = new WeakMap<Segment, Box>();

/** A box that surely holds the segment; arcs take their whole circle when they pass a half turn. */
export function segmentBox(s: Segment): Box {
  let box = boxes.get(s);
  if (!box) {
    const grow = s.kind === 'arc' ? s.radius * (Math.abs(s.sweep) > Math.PI / 2 + 1e-9 ? 2 : 1 - Math.SQRT1_2 + 1e-9) : 0;
    box = {
      minX: Math.min(s.from.x, s.to.x) - grow,
      minY: Math.min(s.from.y, s.to.y) - grow,
      maxX: Math.max(s.from.x, s.to.x) + grow,
      maxY: Math.max(s.from.y, s.to.y) + grow,
    };
    boxes.set(s, box);
  }
  return box;
}

/** A distance that what lies in two boxes cannot be below. */
function boxesApart(a: Box, b: Box): number {
  const dx = Math.max(0, a.minX - b.maxX, b.minX - a.maxX);
  const dy = Math.max(0, a.minY - b.maxY, b.minY - a.maxY);
  return dx === 0 ? dy : dy === 0 ? dx : Math.sqrt(dx * dx + dy * dy);
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
