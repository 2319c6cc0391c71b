import { routeLevels, type PlannedRoute } from '../check/index.js';
import type { Cavity } from '../instrument/index.js';
import { setting, sum, type Working } from '../measure/index.js';
import type { Settings } from '../operation/index.js';
import type { BoringBit, Tool } from '../part/index.js';
import { area, asRegion, bounds, circle, offsetRings, regionContains, type Outline, type Point, type Region } from '../shape/index.js';
import { removedVolume, type Level } from './removed-volume.js';

/** Bulk taken out with a boring bit before the template bit comes. */
export interface BoringPlan {
  readonly bit: BoringBit;
  /** Centres, in the body's frame. */
  readonly holes: readonly Point[];
  /** Where the rim stops, so that the spur's tip does not pass the floor. */
  readonly rimDepth: Working;
  /** Volume that the holes take, mm³. */
  readonly volume: number;
}

/** How the holes may lie to one another: hexagonal, at these shares of the bit's diameter, turned and shifted so [memory]. */
const SPACINGS = [0.8, 0.95] as const;
const TURNS = [0, 10, 20, 30, 40, 50] as const;
const SHIFTS = [0, 1 / 3, 2 / 3] as const;
/** The ground is looked at in squares of this share of the bit's diameter. */
const RASTER = 1 / 9;
/** Bits thinner than this make wells and wire holes, no bulk, mm [memory]. */
const BULK = 10;
/** The ground has about this many squares at most: a large cavity is looked at more coarsely. */
const SQUARES = 700;
/** A hole that takes less than this of its own circle is not worth its time [memory]. */
const WORTH = 0.12;

/**
 * As few holes as take the share target, with the largest boring bit that stays clear of the line by the wood left for the template bit; null when none goes in.
 * What is cavity already is not bored again. Rim depth = floor − spur: 18.0 − 2.5 = 15.5 [law].
 */
export function planBoring(route: PlannedRoute, old: readonly Level[], tools: readonly Tool[], s: Settings): BoringPlan | null {
  const key = JSON.stringify([route.at, route.levels, old, tools.filter((t) => t.kind === 'boring'), s.leaveForTemplateBit, s.boringShare]);
  const known = remembered.get(key);
  if (known !== undefined) return known;
  const plan = planBoringAnew(route, old, tools, s);
  // the oldest goes: a map keeps the order in which it was filled
  for (const oldest of remembered.keys()) if (remembered.size >= REMEMBERED) remembered.delete(oldest);
  remembered.set(key, plan);
  return plan;
}

/** The same sum is asked for many times while a job is worked through: the last few are kept by what they were made from. */
const remembered = new Map<string, BoringPlan | null>();
const REMEMBERED = 24;

/** The same, not remembered. */
export function planBoringAnew(route: PlannedRoute, old: readonly Level[], tools: readonly Tool[], s: Settings): BoringPlan | null {
  const widest = widestLevel(route, s);
  if (!widest?.depth) return null;
  const floor = widest.depth.value;
  const line = widest.outline.outline;
  const bits = tools.filter((t): t is BoringBit => t.kind === 'boring' && t.diameter >= BULK).sort((a, b) => b.diameter - a.diameter);
  for (const bit of bits) {
    const inner = roomForBit(line, bit.diameter, s.leaveForTemplateBit);
    const rim = floor - bit.spur;
    if (inner.length === 0 || rim <= 0) continue;
    const holes = fewestHoles(inner, groundOf(line, old, rim, bit.diameter), bit.diameter, s.boringShare);
    if (holes.length === 0) continue;
    const bored = holes.map((h) => ({ outline: circle(bit.diameter, h), depth: rim }));
    return { bit, holes, rimDepth: boreDepth(floor, bit), volume: removedVolume(bored, old) };
  }
  return null;
}

/** The largest of a route's levels: where its bulk is. */
export function widestLevel(route: PlannedRoute, s: Settings): Cavity['levels'][number] | null {
  const main = routeLevels(route, s).filter((p) => !p.bored);
  return main.reduce<(typeof main)[number] | null>((w, p) => (w && area(w.outline.outline) >= area(p.outline.outline) ? w : p), null);
}

/** Where the middle of a bit may go inside a line, with wood left at the line; nothing where the bit is too wide for it. */
export function roomForBit(line: Outline, diameter: number, leave: number): Region {
  return asRegion(offsetRings([line], -(diameter / 2 + leave)));
}

/** The rim's depth for a floor or a well's tip. */
export function boreDepth(tip: number, bit: BoringBit): Working {
  return sum('rimDepth', [1, setting('targetDepth', tip, 'depth')], [-1, setting('spur', bit.spur, 'tool')]);
}

/** The boring bit of a well's own size; null when the shop has none within 0.1 mm. */
export function wellBit(diameter: number, tools: readonly Tool[]): BoringBit | null {
  return tools.find((t): t is BoringBit => t.kind === 'boring' && Math.abs(t.diameter - diameter) <= 0.1) ?? null;
}

/** Wood to be bored, in squares of one side, mm. */
interface Ground {
  readonly spots: readonly Spot[];
  readonly side: number;
}

/** A small square of the ground, and how much of it is wood that goes, 0 to 1. */
interface Spot extends Point {
  readonly wood: number;
}

/** Wood inside a line down to the rim, in squares; where a cavity is there already only what is below it. */
function groundOf(line: Outline, old: readonly Level[], rim: number, diameter: number): Ground {
  const box = bounds([line]);
  const step = Math.max(diameter * RASTER, Math.sqrt(((box.maxX - box.minX) * (box.maxY - box.minY)) / SQUARES));
  const spots: Spot[] = [];
  for (let y = box.minY + step / 2; y < box.maxY; y += step) {
    for (let x = box.minX + step / 2; x < box.maxX; x += step) {
      const p = { x, y };
      if (!regionContains([line], p)) continue;
      const open = Math.max(0, ...old.filter((l) => regionContains([l.outline], p)).map((l) => l.depth));
      spots.push({ ...p, wood: Math.max(0, rim - open) / rim });
    }
  }
  return { spots, side: step };
}

/** Of all ways to lay the holes the one with the fewest that take the share target; where none takes it, the one that takes most. */
function fewestHoles(inner: Region, { spots, side }: Ground, diameter: number, share: number): readonly Point[] {
  const target = share * spots.reduce((n, spot) => n + spot.wood, 0);
  if (target === 0) return [];
  const worth = (WORTH * Math.PI * (diameter / 2) ** 2) / (side * side);
  let best: { readonly holes: readonly Point[]; readonly taken: number } = { holes: [], taken: 0 };
  for (const centres of layouts(inner, diameter)) {
    const found = greedy(centres, spots, diameter / 2, target, worth);
    const enough = found.taken >= target;
    const bestEnough = best.taken >= target && best.holes.length > 0;
    const fewer = found.holes.length - best.holes.length;
    if (enough ? !bestEnough || fewer < 0 || (fewer === 0 && found.taken > best.taken) : !bestEnough && found.taken > best.taken) best = found;
  }
  return best.holes;
}

/** Centres of holes inside an area: rows along it, and hexagonal grids over angles and shifts. */
function* layouts(inner: Region, diameter: number): Generator<readonly Point[]> {
  const box = bounds(inner);
  const middle = { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
  for (const spacing of SPACINGS) {
    const step = spacing * diameter;
    yield stops(box.minY, box.maxY, step)
      .flatMap((y) => stops(box.minX, box.maxX, step).map((x) => ({ x, y })))
      .filter((p) => regionContains(inner, p));
    for (const turn of TURNS)
      for (const sx of SHIFTS)
        for (const sy of SHIFTS) yield hexagons(inner, { middle, step, turn, sx, sy, far: Math.hypot(box.maxX - box.minX, box.maxY - box.minY) / 2 });
  }
}

/** A pattern of hexagons: its middle, how wide its step, how it is turned (°) and shifted (in steps), and how far it reaches, mm. */
interface Pattern {
  readonly middle: Point;
  readonly step: number;
  readonly turn: number;
  readonly sx: number;
  readonly sy: number;
  readonly far: number;
}

function hexagons(inner: Region, { middle, step, turn, sx, sy, far }: Pattern): readonly Point[] {
  const a = (turn * Math.PI) / 180;
  const [c, s] = [Math.cos(a), Math.sin(a)];
  const rows = Math.ceil(far / (step * 0.866)) + 1;
  const out: Point[] = [];
  for (let r = -rows; r <= rows; r++)
    for (let q = -rows; q <= rows; q++) {
      const u = (q + sx + (r & 1) / 2) * step;
      const v = (r + sy) * step * (Math.sqrt(3) / 2);
      const p = { x: middle.x + u * c - v * s, y: middle.y + u * s + v * c };
      if (regionContains(inner, p)) out.push(p);
    }
  return out;
}

/** The centres that take most, one after the other, until enough is taken or none is worth its time. */
function greedy(
  centres: readonly Point[],
  ground: readonly Spot[],
  radius: number,
  target: number,
  worth: number,
): { readonly holes: readonly Point[]; readonly taken: number } {
  const under = centres.map((c) => ground.flatMap((spot, i) => ((spot.x - c.x) ** 2 + (spot.y - c.y) ** 2 <= radius * radius ? [i] : [])));
  const left = ground.map((spot) => spot.wood);
  const open = new Set(centres.keys());
  const holes: Point[] = [];
  let taken = 0;
  while (taken < target && open.size > 0) {
    let most = { at: -1, gain: 0 };
    for (const i of open) {
      const gain = (under[i] ?? []).reduce((n, k) => n + (left[k] ?? 0), 0);
      if (gain > most.gain + 1e-9) most = { at: i, gain };
    }
    const centre = centres[most.at];
    if (!centre || most.gain < worth) break;
    for (const k of under[most.at] ?? []) left[k] = 0;
    open.delete(most.at);
    holes.push(centre);
    taken += most.gain;
  }
  return { holes, taken };
}

/** Evenly spread stops no further apart than `step`, a hair inside both ends. */
function stops(from: number, to: number, step: number): number[] {
  const hair = 1e-3;
  const span = to - from - 2 * hair;
  if (span <= 0) return [(from + to) / 2];
  const n = Math.ceil(span / step);
  return Array.from({ length: n + 1 }, (_, i) => from + hair + (span * i) / n);
}
