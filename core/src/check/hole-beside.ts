import { actsOfChoice } from './choice.js';
import { placementOf, type Cavity, type FeatureOutline, type Hole } from '../instrument/index.js';
import { leaf, type GeometryNode, type Leaf } from '../measure/index.js';
import { bounds, circle, gapApart, gapInside, placePoint, type Gap, type Point, type Region } from '../shape/index.js';
import { holePlaceLeaf } from './holes-in-wood.js';
import { outlineLeaf, levelsLeaf, regionOf, type PlanState } from './place.js';
import type { PartSite } from './site.js';
import { verdict, type Verdict } from './verdict.js';
import { ofHardware } from './of-choice.js';
import { rowsOf, type About } from './row.js';

/**
 * A hole that is not there yet, or is drilled anew elsewhere: how much wood is left to the nearest hole or cavity of its face, and to the body's edge.
 * 9.6 wide, 30 from the middle of a hole of 8: 21.2 [law]. Wanted 3 [memory].
 */
function holeBeside(site: PartSite): readonly Verdict[] {
  const { choice, part, hole, state, at, room } = site;
  const through = part.sizes.bushing ?? part.sizes.outer ?? part.sizes.diameter;
  const isNew = choice.place.on === 'face' || actsOfChoice(choice).some((w) => w.kind === 'moveHole');
  if (!isNew || !hole || !through || (hole.face !== 'top' && hole.face !== 'back')) return [];
  const mine: Region = [circle(through.value + state.settings.minHoleOver, at)];
  // in a plate over a cavity there is no wood beside it
  const drilled = { state, choice: choice.id, hole, at, mine };
  const nearest = holeToOthers(drilled, !room?.from);
  const { outline } = state.anatomy.body;
  return [...(nearest ? [nearest] : []), ...(outline ? [holeToEdge(drilled, outline, gapInside(mine, [outline.outline]))] : [])];
}

/** A hole to be drilled: its middle, its edge with what it is drilled larger, and the choice that wants it. */
export interface FreshHole {
  readonly state: PlanState;
  readonly choice: string;
  readonly hole: Hole;
  readonly at: Point;
  readonly mine: Region;
}

/** The wood between a hole and the nearest other hole, and where asked the nearest cavity, of its face: the lesser of the two. */
export function holeToOthers(fresh: FreshHole, cavities: boolean): Verdict | null {
  const { state, hole, at, mine } = fresh;
  const beside = nearestHole(state, hole, at);
  const near = cavities ? nearestCavity(state, hole, at, mine) : null;
  const found = [
    ...(beside
      ? [
          between(fresh, {
            against: beside.hole.id,
            measure: 'apart',
            theirs: beside.edge,
            gap: gapApart(mine, beside.edge),
            allowance: holePlaceLeaf(beside.hole),
          }),
        ]
      : []),
    ...(near
      ? [
          between(fresh, {
            against: near.cavity.id,
            measure: 'apart',
            theirs: near.region,
            gap: near.gap,
            allowance: levelsLeaf(near.cavity, near.cavity.levels),
          }),
        ]
      : []),
  ];
  return found.reduce<Verdict | null>((n, v) => (n && (n.clearance ?? 0) <= (v.clearance ?? 0) ? n : v), null);
}

/** The wood between a hole and the body's edge. */
export function holeToEdge(fresh: FreshHole, body: FeatureOutline, gap: Gap): Verdict {
  return between(fresh, { against: 'body', measure: 'inside', theirs: [body.outline], gap, allowance: outlineLeaf(body, 'body') });
}

/** What a hole is held against: its region, the gap between the two, and its own limit. */
interface Neighbour {
  readonly against: string;
  readonly measure: GeometryNode['measure'];
  readonly theirs: Region;
  readonly gap: Gap;
  readonly allowance: Leaf;
}

function between({ state, choice, hole, mine }: FreshHole, { against, measure, theirs, gap, allowance }: Neighbour): Verdict {
  const place = leaf('holePlace', { value: 0, limit: hole.limit, basis: hole.basis }, { quantity: 'holePlace', feature: choice });
  return verdict(
    'holeBeside',
    { feature: choice, item: 'hole', against },
    { op: 'geometry', label: 'woodBetween', measure, a: mine, b: theirs, value: gap.clearance, allowances: [place, allowance] },
    state.settings.minBesideHole,
    gap.at,
  );
}

/** The hole of the same face with least wood to this one: of round holes that follows from their middles. */
function nearestHole({ anatomy }: PlanState, mine: Hole, at: Point): { readonly hole: Hole; readonly edge: Region } | null {
  let best: { readonly hole: Hole; readonly middle: Point; readonly left: number } | null = null;
  for (const hole of anatomy.holes) {
    if (hole.id === mine.id || hole.face !== mine.face || hole.condition === 'plugged' || !hole.diameter) continue;
    const middle = placePoint(hole.at, placementOf(anatomy, hole.frame));
    const left = Math.hypot(middle.x - at.x, middle.y - at.y) - hole.diameter.value / 2;
    if (!best || left < best.left) best = { hole, middle, left };
  }
  return best && { hole: best.hole, edge: [circle(best.hole.diameter?.value ?? 0, best.middle)] };
}

/** The cavity of the same face with least wood to it; one whose box lies further than the best so far is not measured. */
function nearestCavity(
  { anatomy }: PlanState,
  hole: Hole,
  at: Point,
  mine: Region,
): { readonly cavity: Cavity; readonly region: Region; readonly gap: Gap } | null {
  const far = (region: Region): number => {
    const b = bounds(region);
    return Math.hypot(Math.max(b.minX - at.x, 0, at.x - b.maxX), Math.max(b.minY - at.y, 0, at.y - b.maxY));
  };
  const radius = Math.hypot((mine[0]?.vertices[0]?.x ?? at.x) - at.x, (mine[0]?.vertices[0]?.y ?? at.y) - at.y);
  let best: { readonly cavity: Cavity; readonly region: Region; readonly gap: Gap } | null = null;
  for (const cavity of anatomy.cavities) {
    if (cavity.face !== hole.face || cavity.levels.length === 0) continue;
    const region = regionOf(anatomy, cavity);
    if (best && far(region) - radius > best.gap.clearance) continue;
    const gap = gapApart(mine, region);
    if (!best || gap.clearance < best.gap.clearance) best = { cavity, region, gap };
  }
  return best;
}

/** Wood beside a hole. */
export const BESIDE: About = { unit: 'mm', about: ['crowding'] };

export const HOLE_BESIDE = rowsOf(['hardware'], ofHardware(holeBeside), { holeBeside: BESIDE });
