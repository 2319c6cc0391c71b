import { depthOf, depthTerms } from './depth-here.js';
import type { Cavity, Hole, Level } from '../instrument/index.js';
import { leaf, setting, sum, type Leaf } from '../measure/index.js';
import { drillPoint } from '../part/index.js';
import type { Target } from '../quantity/index.js';
import { gapApart, regionsOverlap, type Point, type Region } from '../shape/index.js';
import { levelsLeaf, regionOf, type PlanState } from './place.js';
import { missingVerdict, verdict, type Verdict } from './verdict.js';
import { woodThrough } from './wood-through.js';

/**
 * What lies behind a new hole of a face. Under a blind one: the wood left to the other face or to the cavity there, the drill's point counted:
 * 44 − 20 − 2.4 − 14 = 7.6. One right through keeps clear of every cavity of the other face [law]; what it runs into there is a clash.
 */
export function behindHole(state: PlanState, choice: string, hole: Hole, at: Point, mine: Region): Verdict | null {
  return hole.through ? whereItComesOut(state, choice, hole, mine) : underIt(state, choice, hole, at, mine);
}

function underIt(state: PlanState, choice: string, hole: Hole, at: Point, mine: Region): Verdict {
  const { anatomy, settings } = state;
  const below = deepestUnder(state, hole, mine);
  const subject = { feature: choice, item: 'hole', against: below?.cavity.id ?? 'body' };
  const wood = woodThrough(anatomy);
  const other: Target | null = below && { quantity: 'levelDepth', feature: below.cavity.id, part: below.level.id };
  const missing = [...wood.needs.flatMap(([d, target]) => (d ? [] : [target])), ...(below && other && !below.level.depth ? [other] : [])];
  if (missing.length > 0 || !hole.depth || !hole.diameter) return missingVerdict('floor', subject, missing, settings.minFloor, at);
  const working = sum(
    'floorLeft',
    ...wood.terms(),
    [-1, leaf('holeDepth', hole.depth)],
    [-1, setting('drillPoint', drillPoint(hole.diameter.value), 'tool')],
    ...(below?.level.depth ? depthTerms(-1, 'depthBelow', depthOf(below.cavity, below.level)) : []),
  );
  return verdict('floor', subject, working, settings.minFloor, at);
}

/** The cavity of the other face that reaches furthest up under a hole; one of unknown depth counts as the furthest. */
function deepestUnder({ anatomy }: PlanState, hole: Hole, mine: Region): { readonly cavity: Cavity; readonly level: Level } | null {
  const under = anatomy.cavities
    .filter((c) => isBehind(c, hole))
    .flatMap((cavity) => cavity.levels.map((level) => ({ cavity, level })))
    .filter(({ cavity, level }) => regionsOverlap(mine, regionOf(anatomy, cavity, [level])));
  const depth = ({ level }: { readonly level: Level }): number => level.depth?.value ?? Infinity;
  return under.reduce<(typeof under)[number] | null>((w, u) => (w && depth(w) >= depth(u) ? w : u), null);
}

function whereItComesOut(state: PlanState, choice: string, hole: Hole, mine: Region): Verdict | null {
  const { anatomy, settings } = state;
  const place: Leaf = leaf('holePlace', { value: 0, limit: hole.limit, basis: hole.basis }, { quantity: 'holePlace', feature: choice });
  const found = anatomy.cavities
    .filter((c) => isBehind(c, hole) && c.levels.length > 0)
    .map((cavity) => {
      const theirs = regionOf(anatomy, cavity);
      const gap = gapApart(mine, theirs);
      return verdict(
        'holeBeside',
        { feature: choice, item: 'exit', against: cavity.id },
        {
          op: 'geometry',
          label: 'woodBetween',
          measure: 'apart',
          a: mine,
          b: theirs,
          value: gap.clearance,
          allowances: [place, levelsLeaf(cavity, cavity.levels)],
        },
        settings.minBesideHole,
        gap.at,
      );
    });
  return found.reduce<Verdict | null>((w, v) => (w && (w.clearance ?? 0) <= (v.clearance ?? 0) ? w : v), null);
}

const isBehind = (c: Cavity, hole: Hole): boolean => (hole.face === 'top' || hole.face === 'back') && c.face !== hole.face;
