import { depthOf, depthTerms, type DepthHere } from './depth-here.js';
import { setsOf, type Anatomy, type Cavity, type Level } from '../instrument/index.js';
import { sum, type Dimension, type Leaf } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import { bounds, regionsOverlap, toPoint, type Point, type Region } from '../shape/index.js';
import { cutOf } from './hidden-edge.js';
import { boresUnder } from './holes-in-wood.js';
import { regionOf, type PlaceOfPart, type PlanState } from './place.js';
import { missingVerdict, verdict, type Verdict } from './verdict.js';
import { ofPickup } from './of-choice.js';
import { woodThrough } from './wood-through.js';
import { rowsOf, type About } from './row.js';

/**
 * The wood left under each depth of each cut: body thickness less the top depth, less the deepest cavity or bore of the other face below it.
 * 41.5 − 18.0 − 12.0 = 11.5; under a well to 25.0: 4.5 [law]. Wanted 5 [trade].
 */
export function floors(place: Pick<PlaceOfPart, 'cavity' | 'state'>): readonly Verdict[] {
  const { cavity, state } = place;
  return setsOf(cavity).flatMap((set) => {
    const levels = cutOf(cavity, set);
    const depths = [...new Set(levels.map((p) => p.depth?.value ?? null))];
    return depths.map((depth) => worst(levels.filter((p) => (p.depth?.value ?? null) === depth).map((p) => floorUnder(state, cavity, p, set))));
  });
}

function worst(all: readonly Verdict[]): Verdict {
  return all.reduce((w, v) => ((v.clearance ?? -Infinity) < (w.clearance ?? -Infinity) ? v : w));
}

/** What reaches up under a cut from the other face: a level of a cavity, or a bore. */
export interface Below extends DepthHere {
  readonly feature: string;
  readonly at: Point;
}

function floorUnder(state: PlanState, cavity: Cavity, level: Level, set: string): Verdict {
  const { anatomy, settings } = state;
  const below = deepestBelow(anatomy, cavity.face, regionOf(anatomy, cavity, single(level)));
  const subject = { feature: cavity.id, item: `${set}/${groupName(level)}`, against: below?.feature ?? 'body' };
  const own: Target = { quantity: 'levelDepth', feature: cavity.id, part: level.id };
  const at = below?.at ?? middleOf(regionOf(anatomy, cavity, [level]));
  if (!level.depth) return missingVerdict('floor', subject, [own, ...missingBelow(anatomy, below)], settings.minFloor, at);
  return floorOver(state, { subject, depth: depthTerms(-1, level.bored ? 'spurDepth' : 'levelDepth', depthOf(cavity, level)), below, at });
}

function missingBelow(anatomy: Anatomy, below: Below | null): readonly Target[] {
  const unknown = woodThrough(anatomy).needs.flatMap(([d, target]) => (d ? [] : [target]));
  return [...unknown, ...(below && !below.depth ? [below.target] : [])];
}

/** The wood between a depth of a cut and what reaches up under it; with nothing there, to the other face. */
export function floorOver(
  { anatomy, settings }: PlanState,
  {
    subject,
    depth,
    below,
    at,
  }: { readonly subject: Verdict['subject']; readonly depth: readonly (readonly [-1, Leaf])[]; readonly below: Below | null; readonly at: Point },
): Verdict {
  const missing = missingBelow(anatomy, below);
  if (missing.length > 0) return missingVerdict('floor', subject, missing, settings.minFloor, at);
  const working = sum('floorLeft', ...woodThrough(anatomy).terms(), ...depth, ...(below?.depth ? depthTerms(-1, 'depthBelow', below) : []));
  return verdict('floor', subject, working, settings.minFloor, at);
}

/** A level's own name within its cut, without the side: two ears of one depth are one floor. */
function groupName(level: Level): string {
  return level.depth ? level.depth.value.toFixed(3) : level.id;
}

/** What of the other face reaches furthest up under a cut, cavities and bores; one of unknown depth counts as the furthest. */
export function deepestBelow(anatomy: Anatomy, face: Cavity['face'], mine: Region): Below | null {
  let best: Below | null = null;
  const deeper = (depth: Dimension | null): boolean => !best || (depth?.value ?? Infinity) > (best.depth?.value ?? Infinity);
  for (const c of anatomy.cavities) {
    if (c.face === face) continue;
    for (const p of c.levels) {
      if (!deeper(p.depth)) continue;
      const theirs = regionOf(anatomy, c, single(p));
      if (regionsOverlap(mine, theirs)) best = { feature: c.id, ...depthOf(c, p), at: sharedPoint(mine, theirs) };
    }
  }
  for (const { hole, at } of boresUnder(anatomy, face, mine))
    if (deeper(hole.depth)) best = { feature: hole.id, depth: hole.depth, target: { quantity: 'holeDepth', feature: hole.id }, fall: null, at };
  return best;
}

const singles = new WeakMap<Level, readonly Level[]>();

function single(level: Level): readonly Level[] {
  let list = singles.get(level);
  if (!list) singles.set(level, (list = [level]));
  return list;
}

/** A point that both share, for the map: the middle of the boxes' overlap. */
function sharedPoint(a: Region, b: Region): Point {
  const [p, q] = [bounds(a), bounds(b)];
  return toPoint((Math.max(p.minX, q.minX) + Math.min(p.maxX, q.maxX)) / 2, (Math.max(p.minY, q.minY) + Math.min(p.maxY, q.maxY)) / 2);
}

function middleOf(region: Region): Point {
  const box = bounds(region);
  return toPoint((box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2);
}

/** Wood under a cut, to the other face. */
export const FLOOR: About = { unit: 'mm', about: ['restsTwice', 'structural', 'mishap'] };

export const FLOORS = rowsOf(['pickup'], ofPickup(floors), { floor: FLOOR });
