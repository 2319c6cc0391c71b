import type { PlannedRoute } from '../check/index.js';
import { routePockets } from '../check/index.js';
import { sum, setting, type Working } from '../measure/index.js';
import type { Settings } from '../operation/index.js';
import type { BoringBit, Tool } from '../part/index.js';
import { asRegion, bounds, offsetRings, regionContains, type Point, type Region } from '../shape/index.js';

/** Bulk taken out with a boring bit before the template bit comes. */
export interface BoringPlan {
  readonly bit: BoringBit;
  /** Centres, in the body's frame. */
  readonly holes: readonly Point[];
  /** Where the rim stops, so that the spur's tip does not pass the floor. */
  readonly rimDepth: Working;
}

/** Spacing of neighbouring holes as a share of the bit's diameter [memory]. */
const STEP = 0.8;

/**
 * Holes with the largest boring bit that stays clear of the line by the wood left for the template bit; null when none goes in.
 * Rim depth = floor − spur: 18.0 − 2.5 = 15.5 [law].
 */
export function planBoring(route: PlannedRoute, old: Region, tools: readonly Tool[], s: Settings): BoringPlan | null {
  const main = routePockets(route, s).filter((p) => !p.bored);
  const widest = main.reduce<(typeof main)[number] | null>((w, p) => (w && size(w.outline.outline) >= size(p.outline.outline) ? w : p), null);
  if (!widest?.depth) return null;
  const bits = tools.filter((t): t is BoringBit => t.kind === 'boring').sort((a, b) => b.diameter - a.diameter);
  for (const bit of bits) {
    const inner = asRegion(offsetRings([widest.outline.outline], -(bit.diameter / 2 + s.leaveForTemplateBit)));
    if (inner.length === 0) continue;
    const holes = grid(inner, bit.diameter * STEP).filter((p) => !wholly(old, p, bit.diameter / 2));
    if (holes.length === 0) continue;
    return { bit, holes, rimDepth: boreDepth(widest.depth.value, bit) };
  }
  return null;
}

/** The rim's depth for a floor or a well's tip. */
export function boreDepth(tip: number, bit: BoringBit): Working {
  return sum('rimDepth', [1, setting('depthWanted', tip, 'depth')], [-1, setting('spur', bit.spur, 'tool')]);
}

/** The boring bit of a well's own size; null when the shop has none within 0.1 mm. */
export function wellBit(diameter: number, tools: readonly Tool[]): BoringBit | null {
  return tools.find((t): t is BoringBit => t.kind === 'boring' && Math.abs(t.diameter - diameter) <= 0.1) ?? null;
}

function grid(inner: Region, step: number): Point[] {
  const box = bounds(inner);
  const points: Point[] = [];
  for (const y of stops(box.minY, box.maxY, step)) {
    for (const x of stops(box.minX, box.maxX, step)) {
      const p = { x, y };
      if (regionContains(inner, p)) points.push(p);
    }
  }
  return points;
}

/** Evenly spread stops no further apart than `step`, a hair inside both ends. */
function stops(from: number, to: number, step: number): number[] {
  const hair = 1e-3;
  const span = to - from - 2 * hair;
  if (span <= 0) return [(from + to) / 2];
  const n = Math.ceil(span / step);
  return Array.from({ length: n + 1 }, (_, i) => from + hair + (span * i) / n);
}

/** Nothing is left to bore where the old cavity already is. */
function wholly(old: Region, p: Point, r: number): boolean {
  return Array.from({ length: 8 }, (_, i) => ({ x: p.x + r * Math.cos((i * Math.PI) / 4), y: p.y + r * Math.sin((i * Math.PI) / 4) })).every((q) =>
    regionContains(old, q),
  );
}

function size(outline: Region[number]): number {
  const b = bounds([outline]);
  return (b.maxX - b.minX) * (b.maxY - b.minY);
}
