import { differenceD, FillRule, inflatePathsD, EndType, JoinType, areaD, type PathsD } from 'clipper2-ts';
import { asRegion, offsetRings, unionArea } from './boolean.js';
import type { Region } from './region.js';
import { SLIVER } from './tolerance.js';

/**
 * Area of a region that a round cutter of radius r cannot reach, mm²: the region less its opening by r [law].
 * A square corner keeps r²(1 − π/4): 4.87 mm² at r 4.7625. Rests thinner than the flattening are not wood.
 */
export function unreachableArea(region: Region, r: number): number {
  const paths = (rings: ReturnType<typeof offsetRings>): PathsD => rings.map((ring) => ring.map((p) => ({ x: p.x, y: p.y })));
  const whole = paths(offsetRings(region, 0));
  const moved = paths(offsetRings(region, -r));
  if (moved.length === 0) return unionArea(region);
  const opened = inflatePathsD(moved, r, JoinType.Round, EndType.Polygon, 2, 4, 0.0005);
  const rest = differenceD(whole, opened, FillRule.NonZero, 4);
  return rest.filter((p) => Math.abs(areaD(p)) > 0 && !isSliver(p)).reduce((s, p) => s + areaD(p), 0);
}

/** A ring is a sliver when moving it in by half the sliver's width leaves nothing. */
function isSliver(path: readonly { readonly x: number; readonly y: number }[]): boolean {
  return offsetRings(asRegion([path]), -SLIVER / 2).length === 0;
}
