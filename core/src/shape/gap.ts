import { regionContains } from './contains.js';
import { distanceToEdge, nearest, nearSegments } from './nearest.js';
import { intersections } from './intersections.js';
import { holesOf } from './holes.js';
import { betweenBoxes, bounds } from './measures.js';
import { length, pointAt, type Point, type Segment } from './outline.js';
import { cutAt, regionBoundary, type Region } from './region.js';
import { SAMPLE } from './tolerance.js';

/** A signed clearance, mm, and the point of the first region where it is found. */
export interface Gap {
  readonly clearance: number;
  readonly at: Point;
}

/**
 * How far the inner region stays inside the outer one; negative by how far its worst point stands out.
 * A 10 × 10 square centred in a 14 × 12 one has 1.0 [law].
 */
export function gapInside(inner: Region, outer: Region): Gap {
  return signedGap(inner, outer, true);
}

/** How far two regions are apart; negative by how deep one reaches into the other. */
export function gapApart(a: Region, b: Region): Gap {
  if (betweenBoxes(bounds(a), bounds(b)) > 0) {
    // neither can hold the other
    const close = nearest(regionBoundary(a), regionBoundary(b));
    return { clearance: close.distance, at: close.a };
  }
  const forth = signedGap(a, b, false);
  const back = forth.clearance < 0 || someWithin(b, a) ? signedGap(b, a, false) : forth;
  return back.clearance < forth.clearance ? back : forth;
}

/** How far the inner region stays inside the outer one, or null when it does not lie wholly inside: cheaper than the depth of the clash. */
export function gapWhenInside(inner: Region, outer: Region): Gap | null {
  const edge = regionBoundary(inner);
  if (edge.length === 0 || !starts(edge).every((p) => regionContains(outer, p)) || holeWithin(outer, inner)) return null;
  const close = nearest(edge, regionBoundary(outer));
  return close.distance > 0 ? { clearance: close.distance, at: close.a } : null;
}

/** Where an edge begins anew: every part of a region has at least one such point, so that parts which meet nothing are judged by theirs. */
function starts(edge: readonly Segment[]): readonly Point[] {
  const out: Point[] = [];
  let before: Point | null = null;
  for (const { from, to } of edge) {
    if (before?.x !== from.x || before.y !== from.y) out.push(from);
    before = to;
  }
  return out;
}

function someWithin(a: Region, b: Region): boolean {
  return starts(regionBoundary(a)).some((p) => regionContains(b, p));
}

function signedGap(a: Region, b: Region, wantInside: boolean): Gap {
  const edgeA = regionBoundary(a);
  const edgeB = regionBoundary(b);
  const wrong = (p: Point): boolean => regionContains(b, p) !== wantInside;
  const hole = wantInside ? holeWithin(b, a) : null;
  if (!starts(edgeA).some(wrong)) {
    const close = nearest(edgeA, edgeB);
    if (close.distance > 0) return hole ?? { clearance: close.distance, at: close.a };
  }
  const deep = deepest(edgeA, edgeB, wrong) ?? { clearance: 0, at: nearest(edgeA, edgeB).a };
  return hole && hole.clearance < deep.clearance ? hole : deep;
}

/**
 * Wood that is left standing in the middle of `outer` and that `inner` covers: no edge of `inner` lies there to be found by. Its depth is half the shorter
 * side of its box, which is never too little.
 */
function holeWithin(outer: Region, inner: Region): Gap | null {
  // what covers an island covers some of the outer edge: nearly always none of it, and the islands need not be looked for
  if (outer.length < 2 || !regionBoundary(outer).some((s) => regionContains(inner, s.from))) return null;
  return holesOf(outer)
    .filter((h) => h.vertices.every((v) => regionContains(inner, v)))
    .map((h): Gap => {
      const box = bounds([h]);
      const at = { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
      return { clearance: -Math.min(box.maxX - box.minX, box.maxY - box.minY) / 2, at };
    })
    .reduce<Gap | null>((worst, g) => (worst && worst.clearance <= g.clearance ? worst : g), null);
}

/** A sample of a piece that stands out more than those beside it: the worst point may lie within a step of it. */
interface Peak {
  readonly depth: number;
  readonly piece: Segment;
  readonly share: number;
  readonly step: number;
  /** No point within a step of it can be deeper: depth changes by no more than the way along the edge. */
  readonly most: number;
}

/** Depths that differ by less are the same, mm: along parallel edges every sample is as deep as the next. */
const LEVEL = 1e-9;

/**
 * The point of edge `a` that lies deepest on the wrong side of edge `b`. Edge `a` is cut where it meets `b`, so that each piece lies wholly on one side;
 * the wrong ones that can hold the deepest point are sampled, the likeliest first, and every peak that still can is refined.
 */
function deepest(a: readonly Segment[], b: readonly Segment[], wrong: (p: Point) => boolean): Gap | null {
  const pieces = a
    .flatMap((s) =>
      cutAt(
        s,
        nearSegments(s, b).flatMap((t) => intersections(s, t)),
      ).flatMap(({ piece, middle }) => (wrong(middle) ? [{ piece, depth: distanceToEdge(b, middle) }] : [])),
    )
    .sort((p, q) => q.depth - p.depth);
  let best: Peak | null = null;
  for (const { piece, depth } of pieces) {
    // no point of it lies further from its middle than half of its length, and none is deeper by more than that
    if (best && depth + length(piece) / 2 <= best.depth) continue;
    for (const peak of peaksOf(piece, b, best?.depth ?? 0).sort((p, q) => q.depth - p.depth)) {
      if (best && peak.most <= best.depth) continue;
      const refined = refine(peak, b, best?.depth ?? 0);
      if (!best || refined.depth > best.depth) best = refined;
    }
  }
  return best && { clearance: -best.depth, at: pointAt(best.piece, best.share) };
}

/**
 * The samples of a piece round which the depth may be more than `known`. A stretch is only looked into as long as it can be: between two samples no point is
 * deeper than half of both depths and of the way between them.
 */
function peaksOf(piece: Segment, b: readonly Segment[], known: number): Peak[] {
  const n = Math.max(4, Math.ceil(length(piece) / SAMPLE));
  const step = length(piece) / n;
  const depths = new Float64Array(n + 1).fill(-1);
  let best = known;
  const depthAt = (i: number): number => {
    if (i < 0 || i > n) return -Infinity;
    const before = depths[i] as number;
    if (before >= 0) return before;
    const depth = distanceToEdge(b, pointAt(piece, i / n));
    depths[i] = depth;
    best = Math.max(best, depth);
    return depth;
  };
  const search = (i: number, j: number): void => {
    const [p, q] = [depthAt(i), depthAt(j)];
    if (j - i < 2 || (p + q + (j - i) * step) / 2 <= best) return;
    const middle = (i + j) >> 1;
    depthAt(middle);
    search(i, middle);
    search(middle, j);
  };
  search(0, n);
  const peaks: Peak[] = [];
  for (let i = 0; i <= n; i++) {
    const depth = depths[i] as number;
    if (depth <= LEVEL || depth + step < best) continue;
    const [before, after] = [depthAt(i - 1), depthAt(i + 1)];
    if (depth <= before + LEVEL || depth < after - LEVEL) continue;
    peaks.push({ depth, piece, share: i / n, step: 1 / n, most: (depth + Math.max(before, after) + step) / 2 });
  }
  return peaks;
}

/** Goes up from a sample by ever shorter steps, as long as they may lead deeper than `known`. */
function refine(peak: Peak, b: readonly Segment[], known: number): Peak {
  let { depth, share, step } = peak;
  const long = length(peak.piece);
  while (step * long > 1e-5 && depth + step * long > known) {
    step /= 2;
    for (const u of [share - step, share + step]) {
      if (u < 0 || u > 1) continue;
      const d = distanceToEdge(b, pointAt(peak.piece, u));
      if (d > depth) [share, depth] = [u, d];
    }
  }
  return { ...peak, depth, share };
}
