import { areaPathsD, differenceD, FillRule, inflatePathsD, intersectD, EndType, JoinType, unionD, areaD, type PathD, type PathsD } from 'clipper2-ts';
import { flatten } from './flatten.js';
import type { Outline, Point } from './outline.js';
import type { Region } from './region.js';

/** Decimal places of the grid on which booleans are worked out: 0.0001 mm. */
const PLACES = 4;
/** Greatest deviation of a round offset from its arc, mm. */
const ARC = 0.002;

const cache = new WeakMap<Outline, PathD>();

/** The outline as a ring that runs the positive way round. */
function ring(outline: Outline): PathD {
  let path = cache.get(outline);
  if (!path) {
    path = flatten(outline).map((p) => ({ x: p.x, y: p.y }));
    if (areaD(path) < 0) path.reverse();
    if (path.some((p) => !Number.isFinite(p.x) || !Number.isFinite(p.y))) throw new RangeError('an outline has a point that is not a number');
    cache.set(outline, path);
  }
  return path;
}

function rings(region: Region): PathsD {
  return region.map(ring);
}

/** Area covered by all outlines together, mm². */
export function unionArea(region: Region): number {
  return areaPathsD(unionD(rings(region), [], FillRule.NonZero, PLACES));
}

/** Area of `a` that `b` does not cover, mm². */
export function differenceArea(a: Region, b: Region): number {
  return areaPathsD(differenceD(rings(a), rings(b), FillRule.NonZero, PLACES));
}

/** Area that both cover, mm². */
export function intersectionArea(a: Region, b: Region): number {
  return areaPathsD(intersectD(rings(a), rings(b), FillRule.NonZero, PLACES));
}

/** The rings of `a` less `b`, for drawing; outer rings and holes alike. */
export function differenceRings(a: Region, b: Region): readonly (readonly Point[])[] {
  return differenceD(rings(a), rings(b), FillRule.NonZero, PLACES);
}

/** The region grown (positive) or moved in (negative) by `by` mm with round corners, as rings. */
export function offsetRings(region: Region, by: number): readonly (readonly Point[])[] {
  const joined = unionD(rings(region), [], FillRule.NonZero, PLACES);
  return inflatePathsD(joined, by, JoinType.Round, EndType.Polygon, 2, PLACES, ARC);
}

/** Straight rings as a region, for the next step of a sum. */
export function asRegion(paths: readonly (readonly Point[])[]): Region {
  return paths.map((path) => ({ vertices: path.map((p) => ({ x: p.x, y: p.y, bulge: 0 })) }));
}
