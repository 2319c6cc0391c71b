import { setsOf, type Cavity, type Pocket } from '../instrument/index.js';
import { leaf, sum } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import { bounds, regionsOverlap, toPoint, type Point, type Region } from '../shape/index.js';
import { cutOf } from './hidden-edge.js';
import { regionOf, type PlaceOfPart, type PlanState } from './place.js';
import { missingVerdict, verdict, type Verdict } from './verdict.js';

/**
 * The wood left under each depth of each cut: body thickness less the top depth, less the deepest hollow of the other face below it.
 * 41.5 − 18.0 − 12.0 = 11.5; under a well to 25.0: 4.5 [law]. Wanted 5 [trade].
 */
export function floors(place: Pick<PlaceOfPart, 'cavity' | 'state'>): readonly Verdict[] {
  const { cavity, state } = place;
  return setsOf(cavity).flatMap((set) => {
    const pockets = cutOf(cavity, set);
    const levels = [...new Set(pockets.map((p) => p.depth?.value ?? null))];
    return levels.map((depth) => worst(pockets.filter((p) => (p.depth?.value ?? null) === depth).map((p) => floorUnder(state, cavity, p, set))));
  });
}

function worst(all: readonly Verdict[]): Verdict {
  return all.reduce((w, v) => ((v.clearance ?? -Infinity) < (w.clearance ?? -Infinity) ? v : w));
}

interface Below {
  readonly cavity: Cavity;
  readonly pocket: Pocket;
  readonly at: Point;
}

function floorUnder(state: PlanState, cavity: Cavity, pocket: Pocket, set: string): Verdict {
  const { anatomy, settings } = state;
  const below = deepestBelow(state, cavity, pocket);
  const subject = { feature: cavity.id, item: `${set}/${groupName(pocket)}`, against: below?.cavity.id ?? 'body' };
  const own: Target = { quantity: 'pocketDepth', feature: cavity.id, part: pocket.id };
  const thick: Target = { quantity: 'bodyThickness', feature: 'body' };
  const other: Target | null = below && { quantity: 'pocketDepth', feature: below.cavity.id, part: below.pocket.id };
  const missing = [...(pocket.depth ? [] : [own]), ...(anatomy.body.thickness ? [] : [thick]), ...(below && other && !below.pocket.depth ? [other] : [])];
  const at = below?.at ?? middleOf(regionOf(anatomy, cavity, [pocket]));
  if (missing.length > 0 || !pocket.depth || !anatomy.body.thickness) return missingVerdict('floor', subject, missing, settings.wantedFloor, at);
  const working = sum(
    'floorLeft',
    [1, leaf('bodyThickness', anatomy.body.thickness, thick)],
    [-1, leaf(pocket.bored ? 'spurDepth' : 'pocketDepth', pocket.depth, own)],
    ...(below?.pocket.depth && other ? [[-1, leaf('depthBelow', below.pocket.depth, other)] as const] : []),
  );
  return verdict('floor', subject, working, settings.wantedFloor, at);
}

/** A pocket's own name within its cut, without the side: two ears of one depth are one floor. */
function groupName(pocket: Pocket): string {
  return pocket.depth ? pocket.depth.value.toFixed(3) : pocket.id;
}

/** The hollow of the other face that reaches furthest up under the pocket; one of unknown depth counts as the furthest. */
function deepestBelow(state: PlanState, cavity: Cavity, pocket: Pocket): Below | null {
  const mine = regionOf(state.anatomy, cavity, single(pocket));
  let best: Below | null = null;
  for (const c of state.anatomy.cavities) {
    if (c.face === cavity.face) continue;
    for (const p of c.pockets) {
      const theirs = regionOf(state.anatomy, c, single(p));
      const deeper = !best || (p.depth?.value ?? Infinity) > (best.pocket.depth?.value ?? Infinity);
      if (deeper && regionsOverlap(mine, theirs)) best = { cavity: c, pocket: p, at: sharedPoint(mine, theirs) };
    }
  }
  return best;
}

const singles = new WeakMap<Pocket, readonly Pocket[]>();

function single(pocket: Pocket): readonly Pocket[] {
  let list = singles.get(pocket);
  if (!list) singles.set(pocket, (list = [pocket]));
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
