import { placementOf, type Cavity, type Hole } from '../instrument/index.js';
import { circle, gapInside, placePoint, type Point, type Region } from '../shape/index.js';
import { behindHole } from './behind-hole.js';
import { actsOfChoice, isCutChoice, type CutChoice } from './choice.js';
import { bitsFor } from './cutter-in-corner.js';
import { FLOOR, floors } from './floor.js';
import { HIDDEN, hiddenEdge } from './hidden-edge.js';
import { BESIDE, holeToOthers, holeToEdge } from './hole-beside.js';
import type { PlanState } from './place.js';
import { missingVerdict, type Verdict } from './verdict.js';
import { edgeOfBody, WALL, walls } from './wall.js';
import { YES_OR_NO, rowsOf } from './row.js';

/** What a cut that no part asks for leaves of the wood: floors, walls and covers of the cavities that it goes into; of holes in a row the worst one's wood, beside it and behind it. */
function cutByItself(state: PlanState, choice: CutChoice): readonly Verdict[] {
  const touched = new Set(
    actsOfChoice(choice).flatMap((w) => (w.kind === 'setDepth' || w.kind === 'addLevels' ? [w.cavity] : w.kind === 'addCavity' ? [w.cavity.id] : [])),
  );
  const cavities = state.anatomy.cavities.filter((c) => touched.has(c.id));
  const fresh = actsOfChoice(choice).flatMap((w) => (w.kind === 'addCavity' ? w.cavity.levels.map((p) => p.outline.outline) : []));
  return [...cavities.flatMap((cavity) => ofCavity(state, cavity)), ...bitsFor(state.tools, choice.id, fresh), ...ofRow(state, choice)];
}

function ofCavity(state: PlanState, cavity: Cavity): readonly Verdict[] {
  const place = { state, cavity };
  // a level that is open to the joint, or to a side, has an edge that is none
  const closed = cavity.kind !== 'neck pocket';
  return [...floors(place), ...(closed ? [...walls(place), ...edgeOfBody(place), ...hiddenEdge(place)] : [])];
}

/** Of the new holes the one with least wood to its neighbours, the one with least behind it, and the one nearest to the body's edge. */
function ofRow(state: PlanState, choice: CutChoice): readonly Verdict[] {
  const { anatomy } = state;
  const fresh = actsOfChoice(choice).flatMap((w) => (w.kind === 'addHole' ? [w.hole] : []));
  const placed = fresh.map((hole) => ({ hole, at: placePoint(hole.at, placementOf(anatomy, hole.frame)) }));
  const apart = placed.flatMap(({ hole, at }) => {
    const mine = edgeOf(hole, at);
    const others = mine && holeToOthers({ state, choice: choice.id, hole, at, mine }, true);
    return others ? [others] : [];
  });
  const behind = placed.flatMap(({ hole, at }) => {
    const mine = edgeOf(hole, at);
    const found = mine && behindHole(state, choice.id, hole, at, mine);
    return found ? [found] : [];
  });
  const { outline } = anatomy.body;
  if (fresh.length > 0 && !outline)
    return [
      ...least(apart),
      ...least(behind),
      missingVerdict('holeBeside', { feature: choice.id, item: 'hole', against: 'body' }, [], state.settings.minBesideHole),
    ];
  const edges = placed.flatMap(({ hole, at }) => {
    const mine = edgeOf(hole, at);
    return mine && outline ? [holeToEdge({ state, choice: choice.id, hole, at, mine }, outline, gapInside(mine, [outline.outline]))] : [];
  });
  return [...least(apart), ...least(behind), ...least(edges)];
}

function edgeOf(hole: Hole, at: Point): Region | null {
  return hole.diameter ? [circle(hole.diameter.value, at)] : null;
}

function least(list: readonly Verdict[]): readonly Verdict[] {
  return list.length === 0 ? [] : [list.reduce((w, v) => ((v.clearance ?? -Infinity) < (w.clearance ?? -Infinity) ? v : w))];
}

/** What a cut by itself leaves of the wood. */
export const CUT_BY_ITSELF = rowsOf(['cut'], ({ after, choice }) => (isCutChoice(choice) ? cutByItself(after, choice) : []), {
  floor: FLOOR,
  wall: WALL,
  edgeOfBody: WALL,
  hiddenEdge: HIDDEN,
  holeBeside: BESIDE,
  cutterInCorner: YES_OR_NO,
});
