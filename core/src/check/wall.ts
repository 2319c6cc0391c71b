import { setsOf, type Cavity } from '../instrument/index.js';
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
    return neighbours.flatMap((n: Cavity) => {
      const other = regionOf(anatomy, n);
      const joined = (cavity.joins?.includes(n.id) ?? false) || (n.joins?.includes(cavity.id) ?? false);
      if ((n.face !== cavity.face || joined) && regionsOverlap(route, other)) return [];
      const gap = gapApart(route, other);
      return verdict(
        'wall',
        { feature: cavity.id, item: set, against: n.id },
        {
          op: 'geometry',
          label: 'wallBetween',
          measure: 'apart',
          a: route,
          b: other,
          value: gap.clearance,
          allowances: [pocketsLeaf(cavity, pockets), pocketsLeaf(n, n.pockets)],
        },
        n.kind === 'neck pocket' ? settings.wantedWallAtPocket : settings.wantedWall,
        gap.at,
      );
    });
  });
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
