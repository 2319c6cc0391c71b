import { differenceD, FillRule, inflatePathsD, EndType, JoinType, areaD, type PathsD } from 'clipper2-ts';
import { asRegion, offsetRings, unionArea } from './boolean.js';
import type { Point } from './outline.js';
import type { Region } from './region.js';
import { SLIVER } from './tolerance.js';

/**
 * Area of a region that a round cutter of radius r cannot reach, mm²: the region less its opening by r [law].
 * A square corner keeps r²(1 − π/4): 4.87 mm² at r 4.7625. Rests thinner than the flattening are not wood.
 */
export function unreachableArea(region: Region, r: number): number {
  return unreachableRests(region, r).reduce((s, rest) => s + rest.area, 0);
}

/** A place that a cutter leaves. */
export interface Rest {
  readonly at: Point;
  /** mm² */
  readonly area: number;
}

/** The same place by place, the largest first: what is left for the chisel. */
export function unreachableRests(region: Region, r: number): readonly Rest[] {
  const paths = (rings: ReturnType<typeof offsetRings>): PathsD => rings.map((ring) => ring.map((p) => ({ x: p.x, y: p.y })));
  const whole = paths(offsetRings(region, 0));
  const moved = paths(offsetRings(region, -r));
  if (moved.length === 0) return region.length === 0 ? [] : [{ at: middle(whole[0] ?? []), area: unionArea(region) }];
  const opened = inflatePathsD(moved, r, JoinType.Round, EndType.Polygon, 2, 4, 0.0005);
  const rest = differenceD(whole, opened, FillRule.NonZero, 4);
  return rest
    .filter((p) => Math.abs(areaD(p)) > 0 && !isSliver(p))
    .map((p) => ({ at: middle(p), area: areaD(p) }))
    .sort((a, b) => b.area - a.area);
}

function middle(path: readonly Point[]): Point {
  const sum = path.reduce((s, p) => ({ x: s.x + p.x, y: s.y + p.y }), { x: 0, y: 0 });
  return { x: sum.x / Math.max(1, path.length), y: sum.y / Math.max(1, path.length) };
}

/** A ring is a sliver when moving it in by half the sliver's width leaves nothing. */
function isSliver(path: readonly { readonly x: number; readonly y: number }[]): boolean {
  return offsetRings(asRegion([path]), -SLIVER / 2).length === 0;
}
