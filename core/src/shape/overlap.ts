import { regionContains } from './contains.js';
import { intersections } from './intersections.js';
import { bounds } from './measures.js';
import { distanceToEdge, nearSegments } from './nearest.js';
import type { Segment } from './outline.js';
import { cutAt, regionBoundary, type Region } from './region.js';
import { POINT } from './tolerance.js';

/** Do two regions share any wood? Edges that only touch do not. */
export function regionsOverlap(a: Region, b: Region): boolean {
  const p = bounds(a);
  const q = bounds(b);
  if (p.minX >= q.maxX || q.minX >= p.maxX || p.minY >= q.maxY || q.minY >= p.maxY) return false;
  const [edgeA, edgeB] = [regionBoundary(a), regionBoundary(b)];
  return anyPieceInside(edgeA, edgeB, b) || anyPieceInside(edgeB, edgeA, a);
}

/** Does any piece of edge `a`, cut where it meets edge `b`, run inside region `b`? Edges that coincide all along count as the same wood. */
function anyPieceInside(a: readonly Segment[], b: readonly Segment[], region: Region): boolean {
  let along = 0;
  let pieces = 0;
  for (const s of a) {
    const near = nearSegments(s, b);
    for (const { middle } of cutAt(
      s,
      near.flatMap((t) => intersections(s, t)),
    )) {
      pieces += 1;
      if (near.length > 0 && distanceToEdge(b, middle) < POINT) along += 1;
      else if (regionContains(region, middle)) return true;
    }
  }
  return pieces > 0 && along === pieces;
}
