import { setsOf, type Cavity, type Level } from '../instrument/index.js';
import type { Working } from '../measure/index.js';
import { gapApart, gapInside, regionsOverlap, type Region } from '../shape/index.js';
import { cutOf } from './hidden-edge.js';
import { leanLeaves } from './lean.js';
import { wallsToHoles } from './holes-in-wood.js';
import { outlineLeaf, levelsLeaf, regionOf, type PlaceOfPart } from './place.js';
import { verdict, type Verdict } from './verdict.js';
import { ofPickup } from './of-choice.js';
import { rowsOf, type About } from './row.js';

/** The wood left between each cut and the cavities and holes beside it. Hard limit 0; wanted 5, 10 at the neck pocket [trade]. Cavities of the other face that lie under the cut are the floor's business; none is asked for where the route runs into a cavity on purpose. */
export function walls(place: Pick<PlaceOfPart, 'cavity' | 'state'>): readonly Verdict[] {
  const { cavity, state } = place;
  const { anatomy, settings } = state;
  const neighbours = anatomy.cavities.filter((c) => c.id !== cavity.id && c.levels.length > 0);
  return setsOf(cavity).flatMap((set) => {
    const levels = cutOf(cavity, set);
    const route = regionOf(anatomy, cavity, levels);
    const lean = leanLeaves(anatomy, cavity, levels, route);
    const mine = [levelsLeaf(cavity, levels), ...lean];
    const known = lean.length > 0 ? null : rememberedOf(levels);
    const holes = wallsToHoles(state, { cavity, levels, region: route, subject: { feature: cavity.id, item: set } });
    const cavities = neighbours.flatMap((n: Cavity) => {
      const other = regionOf(anatomy, n);
      const joined = (cavity.joins?.includes(n.id) ?? false) || (n.joins?.includes(cavity.id) ?? false);
      if ((n.face !== cavity.face || joined) && regionsOverlap(route, other)) return [];
      const minimum = n.kind === 'neck pocket' ? settings.minWallAtNeckPocket : settings.minWall;
      const before = known?.get(n);
      if (before?.minimum === minimum && isOf(before, route, other)) return before;
      const gap = gapApart(route, other);
      const allowances = [...mine, levelsLeaf(n, n.levels)];
      const working: Working = { op: 'geometry', label: 'wallBetween', measure: 'apart', a: route, b: other, value: gap.clearance, allowances };
      const now = verdict('wall', { feature: cavity.id, item: set, against: n.id }, working, minimum, gap.at);
      known?.set(n, now);
      return now;
    });
    return [...cavities, ...holes];
  });
}

/** Was it worked out between these two, where they lie now? */
function isOf({ working }: Verdict, a: Region, b: Region): boolean {
  return working?.op === 'geometry' && working.a === a && working.b === b;
}

const walled = new WeakMap<readonly Level[], Map<Cavity, Verdict>>();
/** Cavities that were changed since are forgotten with the rest when so many are remembered. */
const MANY = 1000;

/** What is remembered of the walls of levels: nothing when they are seen for the first time, as those of a route that is being moved always are. */
function rememberedOf(levels: readonly Level[]): Map<Cavity, Verdict> | null {
  const known = walled.get(levels);
  if (!known) walled.set(levels, new Map());
  else if (known.size > MANY) known.clear();
  return known ?? null;
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
