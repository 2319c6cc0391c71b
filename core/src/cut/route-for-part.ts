import type { PlannedLevel } from '../check/index.js';
import type { Settings } from '../operation/index.js';
import type { Pickup } from '../part/index.js';
import { bounds, circle, moveOutline, roundedRectangle, toPoint } from '../shape/index.js';

/** Sizes of a route go up to the next half millimetre. */
const STEP = 0.5;

/** A length as the next half millimetre. */
export function upToHalf(mm: number): number {
  return Math.ceil(mm / STEP - 1e-9) * STEP;
}

/**
 * The route that a part asks for, in its own frame, with corners of the cutter's radius.
 * Base 69.5 × 38.3 with 1.0 a side: 71.5 × 40.5; ears 83 × 10.5 with 2.5 and 1.25: 88 × 13; depths + 1.5; wells + 2.0 below the points.
 */
export function routeForPart(part: Pickup, corner: number, s: Settings): readonly PlannedLevel[] {
  const base = part.tiers.find((l) => l.id === 'base');
  if (!base) return [];
  const b = bounds(base.shapes.map((x) => x.outline));
  const main: PlannedLevel = {
    id: 'main',
    outline: roundedRectangle(upToHalf(b.maxX - b.minX + 2 * s.routeSide), upToHalf(b.maxY - b.minY + 2 * s.routeSide), corner),
    depth: upToHalf(base.lowest.value + s.routeUnder),
    bored: false,
  };
  return [main, ...ears(part, corner, s), ...wellsFor(part, s).filter((w) => w.depth > main.depth)];
}

/** A bored well under each height screw, a little deeper than its point. */
export function wellsFor(part: Pickup, s: Settings): readonly PlannedLevel[] {
  return part.screws.at.map((p, i) => ({
    id: `well ${i + 1}`,
    outline: moveOutline(circle(s.wellDiameter), p.x, p.y),
    depth: upToHalf(part.screws.lowest.value + s.routeUnderScrews),
    bored: true,
  }));
}

function ears(part: Pickup, corner: number, s: Settings): PlannedLevel[] {
  const tier = part.tiers.find((l) => l.id === 'ears');
  if (!tier) return [];
  const all = bounds(tier.shapes.map((x) => x.outline));
  const over = upToHalf(all.maxX - all.minX + 2 * s.routeEarEnd);
  const height = upToHalf(all.maxY - all.minY + 2 * s.routeEarSide);
  return tier.shapes.map((shape, i) => {
    const lug = bounds([shape.outline]);
    const side = Math.sign((lug.minX + lug.maxX) / 2) || 1;
    const width = upToHalf(Math.max(lug.maxX - lug.minX + 3 * s.routeEarEnd + 1, 2 * corner + STEP));
    return {
      id: `ear ${i + 1}`,
      outline: roundedRectangle(width, height, corner, toPoint(side * (over / 2 - width / 2), 0)),
      depth: upToHalf(tier.lowest.value + s.routeUnder),
      bored: false,
    };
  });
}
