import { setsOf, type Cavity, type Level } from '../instrument/index.js';
import { leaf, sum } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import { bounds, regionsOverlap, toPoint, type Point, type Region } from '../shape/index.js';
import { cutOf } from './hidden-edge.js';
import { regionOf, type PlaceOfPart, type PlanState } from './place.js';
import { missingVerdict, verdict, type Verdict } from './verdict.js';
import { ofPickup } from './of-choice.js';
import { rowsOf, type About } from './row.js';

/**
 * The wood left under each depth of each cut: body thickness less the top depth, less the deepest cavity of the other face below it.
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

interface Below {
  readonly cavity: Cavity;
  readonly level: Level;
  readonly at: Point;
}

function floorUnder(state: PlanState, cavity: Cavity, level: Level, set: string): Verdict {
  const { anatomy, settings } = state;
  const below = deepestBelow(state, cavity, level);
  const subject = { feature: cavity.id, item: `${set}/${groupName(level)}`, against: below?.cavity.id ?? 'body' };
  const own: Target = { quantity: 'levelDepth', feature: cavity.id, part: level.id };
  const thick: Target = { quantity: 'bodyThickness', feature: 'body' };
  const other: Target | null = below && { quantity: 'levelDepth', feature: below.cavity.id, part: below.level.id };
  const missing = [...(level.depth ? [] : [own]), ...(anatomy.body.thickness ? [] : [thick]), ...(below && other && !below.level.depth ? [other] : [])];
  const at = below?.at ?? middleOf(regionOf(anatomy, cavity, [level]));
  if (missing.length > 0 || !level.depth || !anatomy.body.thickness) return missingVerdict('floor', subject, missing, settings.minFloor, at);
  const working = sum(
    'floorLeft',
    [1, leaf('bodyThickness', anatomy.body.thickness, thick)],
    [-1, leaf(level.bored ? 'spurDepth' : 'levelDepth', level.depth, own)],
    ...(below?.level.depth && other ? [[-1, leaf('depthBelow', below.level.depth, other)] as const] : []),
  );
  return verdict('floor', subject, working, settings.minFloor, at);
}

/** A level's own name within its cut, without the side: two ears of one depth are one floor. */
function groupName(level: Level): string {
  return level.depth ? level.depth.value.toFixed(3) : level.id;
}

/** The cavity of the other face that reaches furthest up under the level; one of unknown depth counts as the furthest. */
function deepestBelow(state: PlanState, cavity: Cavity, level: Level): Below | null {
  const mine = regionOf(state.anatomy, cavity, single(level));
  let best: Below | null = null;
  for (const c of state.anatomy.cavities) {
    if (c.face === cavity.face) continue;
    for (const p of c.levels) {
      const theirs = regionOf(state.anatomy, c, single(p));
      const deeper = !best || (p.depth?.value ?? Infinity) > (best.level.depth?.value ?? Infinity);
      if (deeper && regionsOverlap(mine, theirs)) best = { cavity: c, level: p, at: sharedPoint(mine, theirs) };
    }
  }
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
