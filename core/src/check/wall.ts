import { setsOf, type Cavity } from '../instrument/index.js';
import type { Leaf, Working } from '../measure/index.js';
import { betweenBoxes, bounds, gapApart, gapInside, regionsOverlap, type Region } from '../shape/index.js';
import { tellNear, type Beside } from './beside.js';
import { cutOf } from './hidden-edge.js';
import { leanLeaves } from './lean.js';
import { wallsToHoles, type Cut } from './holes-in-wood.js';
import { outlineLeaf, levelsLeaf, regionOf, type PlaceOfPart, type PlanState } from './place.js';
import { verdict, type Verdict } from './verdict.js';
import { ofPickup } from './of-choice.js';
import { rowsOf, type About } from './row.js';

/** A cavity whose wall may be no thicker than so much more than what is wanted is told of, mm: who cuts there works with it in sight [memory]. */
const IN_SIGHT = 20;

/**
 * The wood left between each cut and the cavities and holes beside it: those that are near, else the nearest. Hard limit 0; wanted 5, 10 at the neck pocket [trade].
 * Cavities of the other face that lie under the cut are the floor's business; none is asked for where the route runs into a cavity on purpose.
 */
export function walls(place: Pick<PlaceOfPart, 'cavity' | 'state'>): readonly Verdict[] {
  const { cavity, state } = place;
  return setsOf(cavity).flatMap((set) => {
    const levels = cutOf(cavity, set);
    const cut = { cavity, levels, region: regionOf(state.anatomy, cavity, levels), subject: { feature: cavity.id, item: set } };
    return [...wallsToCavities(state, cut), ...wallsToHoles(state, cut)];
  });
}

function wallsToCavities({ anatomy, settings }: PlanState, cut: Cut): readonly Verdict[] {
  const { cavity, levels, region } = cut;
  const mine = [levelsLeaf(cavity, levels), ...leanLeaves(anatomy, cavity, levels, region)];
  const limit = mine.reduce((s, l) => s + l.limit, 0);
  const box = bounds(region);
  const beside = anatomy.cavities
    .filter((n) => n.id !== cavity.id && n.levels.length > 0)
    .map((n): Beside => {
      const wanted = n.kind === 'neck pocket' ? settings.minWallAtNeckPocket : settings.minWall;
      const other = regionOf(anatomy, n);
      const least = betweenBoxes(box, bounds(other)) - limit - Math.max(...n.levels.map((p) => p.outline.limit));
      return { least, near: wanted + IN_SIGHT, judge: () => wallTo(cut, mine, n, { other, wanted }) };
    });
  return tellNear(beside);
}

function wallTo(
  { cavity, region, subject }: Cut,
  mine: readonly Leaf[],
  n: Cavity,
  { other, wanted }: { readonly other: Region; readonly wanted: number },
): Verdict | null {
  const joined = (cavity.joins?.includes(n.id) ?? false) || (n.joins?.includes(cavity.id) ?? false);
  if ((n.face !== cavity.face || joined) && regionsOverlap(region, other)) return null;
  const gap = gapApart(region, other);
  const allowances = [...mine, levelsLeaf(n, n.levels)];
  const working: Working = { op: 'geometry', label: 'wallBetween', measure: 'apart', a: region, b: other, value: gap.clearance, allowances };
  return verdict('wall', { ...subject, against: n.id }, working, wanted, gap.at);
}

/** The wood left between each cut and the body's edge. No verdict while the body's outline is not known. */
export function edgeOfBody(place: Pick<PlaceOfPart, 'cavity' | 'state'>): readonly Verdict[] {
  const { cavity, state } = place;
  const body = state.anatomy.body.outline;
  if (!body) return [];
  const edge = [body.outline];
  return setsOf(cavity).map((set) => {
    const levels = cutOf(cavity, set);
    const route = regionOf(state.anatomy, cavity, levels);
    const gap = gapInside(route, edge);
    return verdict(
      'edgeOfBody',
      { feature: cavity.id, item: set, against: 'body' },
      {
        op: 'geometry',
        label: 'wallToEdge',
        measure: 'inside',
        a: route,
        b: edge,
        value: gap.clearance,
        allowances: [levelsLeaf(cavity, levels), ...leanLeaves(state.anatomy, cavity, levels, route), outlineLeaf(body, 'body')],
      },
      state.settings.minWall,
      gap.at,
    );
  });
}

/** Wood to the next cavity, and to the body’s edge. */
export const WALL: About = { unit: 'mm', about: ['structural', 'mishap'] };

export const WALLS = [...rowsOf(['pickup'], ofPickup(walls), { wall: WALL }), ...rowsOf(['pickup'], ofPickup(edgeOfBody), { edgeOfBody: WALL })];
