import { setsOf, toBody, pocketsOfSet, type Pocket } from '../instrument/index.js';
import { gapInside } from '../shape/index.js';
import { outlineLeaf, plateBackLeaf, pocketsLeaf, regionOf, type PlaceOfPart } from './place.js';
import { verdict, type Verdict } from './verdict.js';

const lists = new WeakMap<Pocket, readonly Pocket[]>();

/** The pockets of one cut; as long as they are the same pockets it is the same list, so that what rests on it need not be computed again. */
export function cutOf(cavity: PlaceOfPart['cavity'], set: string): readonly Pocket[] {
  const pockets = pocketsOfSet(cavity, set);
  const first = pockets[0];
  if (!first) return pockets;
  const known = lists.get(first);
  if (known?.length === pockets.length && known.every((p, i) => p === pockets[i])) return known;
  lists.set(first, pockets);
  return pockets;
}

/** Does the plate hide every cut of the cavity, all round? Hard limit 0, wanted 1.5 [trade]. No verdict for a cavity in sight. */
export function hiddenEdge(place: Pick<PlaceOfPart, 'cavity' | 'state'>): readonly Verdict[] {
  const { cavity, state } = place;
  const { anatomy, settings } = state;
  const plate = anatomy.plates.find((p) => p.id === cavity.hiddenBy);
  if (!plate) return [];
  const cover = [toBody(anatomy, plate.frame, plate.outline.outline)];
  return setsOf(cavity).map((set) => {
    const pockets = cutOf(cavity, set);
    const route = regionOf(anatomy, cavity, pockets);
    const gap = gapInside(route, cover);
    return verdict(
      'hiddenEdge',
      { feature: cavity.id, item: set, against: plate.id },
      {
        op: 'geometry',
        label: 'hiddenEdge',
        measure: 'inside',
        a: route,
        b: cover,
        value: gap.clearance,
        allowances: [pocketsLeaf(cavity, pockets), outlineLeaf(plate.outline, plate.id), plateBackLeaf(settings)],
      },
      settings.wantedHiddenEdge,
      gap.at,
    );
  });
}
