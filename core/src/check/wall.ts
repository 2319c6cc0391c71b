import { setsOf, type Cavity, type Pocket } from '../instrument/index.js';
import type { Working } from '../measure/index.js';
import { gapApart, gapInside, regionsOverlap } from '../shape/index.js';
import { cutOf } from './hidden-edge.js';
import { outlineLeaf, pocketsLeaf, regionOf, type PlaceOfPart } from './place.js';
import { verdict, type Verdict } from './verdict.js';

/** The wood left between each cut and the hollows beside it. Hard limit 0; wanted 5, 10 at the neck pocket [trade]. Hollows of the other face that lie under the cut are the floor's business; none is asked for where the route runs into a hollow on purpose. */
export function walls(place: Pick<PlaceOfPart, 'cavity' | 'state'>): readonly Verdict[] {
  const { cavity, state } = place;
  const { anatomy, settings } = state;
  const neighbours = anatomy.cavities.filter((c) => c.id !== cavity.id && c.pockets.length > 0);
  return setsOf(cavity).flatMap((set) => {
    const pockets = cutOf(cavity, set);
    const route = regionOf(anatomy, cavity, pockets);
    const mine = pocketsLeaf(cavity, pockets);
    const known = rememberedOf(pockets);
    return neighbours.flatMap((n: Cavity) => {
      const other = regionOf(anatomy, n);
      const joined = (cavity.joins?.includes(n.id) ?? false) || (n.joins?.includes(cavity.id) ?? false);
      if ((n.face !== cavity.face || joined) && regionsOverlap(route, other)) return [];
      const wanted = n.kind === 'neck pocket' ? settings.wantedWallAtPocket : settings.wantedWall;
      const before = known?.get(n);
      if (before?.wanted === wanted) return before;
      const gap = gapApart(route, other);
      const allowances = [mine, pocketsLeaf(n, n.pockets)];
      const working: Working = { op: 'geometry', label: 'wallBetween', measure: 'apart', a: route, b: other, value: gap.clearance, allowances };
      const now = verdict('wall', { feature: cavity.id, item: set, against: n.id }, working, wanted, gap.at);
      known?.set(n, now);
      return now;
    });
  });
}

const walled = new WeakMap<readonly Pocket[], Map<Cavity, Verdict>>();
/** Hollows that were changed since are forgotten with the rest when so many are remembered. */
const MANY = 1000;

/** What is remembered of the walls of pockets: nothing when they are seen for the first time, as those of a route that is being moved always are. */
function rememberedOf(pockets: readonly Pocket[]): Map<Cavity, Verdict> | null {
  const known = walled.get(pockets);
  if (!known) walled.set(pockets, new Map());
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
    const pockets = cutOf(cavity, set);
    const route = regionOf(state.anatomy, cavity, pockets);
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
        allowances: [pocketsLeaf(cavity, pockets), outlineLeaf(body, 'body')],
      },
      state.settings.wantedWall,
      gap.at,
    );
  });
}
