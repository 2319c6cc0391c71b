import { regionContains } from './contains.js';
import { nearest, pointToSegment } from './distance.js';
import { intersections } from './intersections.js';
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
  const forth = signedGap(a, b, false);
  if (forth.clearance < 0) {
    const back = signedGap(b, a, false);
    return back.clearance < forth.clearance ? back : forth;
  }
  return probe(b, a) ? signedGap(b, a, false) : forth;
}

/** How far the inner region stays inside the outer one, or null when it does not lie wholly inside: cheaper than the depth of the clash. */
export function gapWhenInside(inner: Region, outer: Region): Gap | null {
  const edge = regionBoundary(inner);
  const first = edge[0];
  if (!first || !regionContains(outer, first.from)) return null;
  const close = nearest(edge, regionBoundary(outer));
  return close.distance > 0 ? { clearance: close.distance, at: close.a } : null;
}

function probe(a: Region, b: Region): boolean {
  return regionBoundary(a).some((s) => regionContains(b, pointAt(s, 0.5)));
}

function signedGap(a: Region, b: Region, wantInside: boolean): Gap {
  const edgeA = regionBoundary(a);
  const edgeB = regionBoundary(b);
  const close = nearest(edgeA, edgeB);
  const wrong = (p: Point): boolean => regionContains(b, p) !== wantInside;
  if (close.distance > 0) {
    const first = edgeA[0];
    if (!first || !wrong(first.from)) return { clearance: close.distance, at: close.a };
  }
  return deepest(edgeA, edgeB, wrong) ?? { clearance: 0, at: close.a };
}

/**
 * The point of edge `a` that lies deepest on the wrong side of edge `b`. Edge `a` is cut where it meets `b`, so that each piece lies
 * wholly on one side; the wrong ones are sampled and the best sample is refined.
 */
function deepest(a: readonly Segment[], b: readonly Segment[], wrong: (p: Point) => boolean): Gap | null {
  let best: { readonly depth: number; readonly piece: Segment; readonly share: number; readonly step: number } | null = null;
  for (const s of a) {
    for (const { piece, middle } of cutAt(
      s,
      b.flatMap((t) => intersections(s, t)),
    )) {
      if (!wrong(middle)) continue;
      const n = Math.max(4, Math.ceil(length(piece) / SAMPLE));
      for (let i = 0; i <= n; i++) {
        const depth = distanceTo(b, pointAt(piece, i / n));
        if (depth > (best?.depth ?? 1e-9)) best = { depth, piece, share: i / n, step: 1 / n };
      }
    }
  }
  if (!best) return null;
  const { piece } = best;
  let { depth, share, step } = best;
  while (step * length(piece) > 1e-5) {
    step /= 2;
    for (const u of [share - step, share + step]) {
      if (u < 0 || u > 1) continue;
      const d = distanceTo(b, pointAt(piece, u));
      if (d > depth) [share, depth] = [u, d];
    }
  }
  return { clearance: -depth, at: pointAt(piece, share) };
}

function distanceTo(edge: readonly Segment[], p: Point): number {
  let least = Infinity;
  for (const t of edge) least = Math.min(least, pointToSegment(p, t).distance);
  return least;
}
