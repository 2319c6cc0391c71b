import { setsOf, toBody, levelsOfSet, type Level } from '../instrument/index.js';
import { gapInside } from '../shape/index.js';
import { outlineLeaf, plateBackLeaf, levelsLeaf, regionOf, type PlaceOfPart } from './place.js';
import { verdict, type Verdict } from './verdict.js';
import { ofPickup } from './of-choice.js';
import { rowsOf, type About } from './row.js';

const lists = new WeakMap<Level, readonly Level[]>();

/** The levels of one cut; as long as they are the same levels it is the same list, so that what rests on it need not be computed again. */
export function cutOf(cavity: PlaceOfPart['cavity'], set: string): readonly Level[] {
  const levels = levelsOfSet(cavity, set);
  const first = levels[0];
  if (!first) return levels;
  const known = lists.get(first);
  if (known?.length === levels.length && known.every((p, i) => p === levels[i])) return known;
  lists.set(first, levels);
  return levels;
}

/** Does the plate hide every cut of the cavity, all round? Hard limit 0, wanted 1.5 [trade]. No verdict for a cavity in sight. */
export function hiddenEdge(place: Pick<PlaceOfPart, 'cavity' | 'state'>): readonly Verdict[] {
  const { cavity, state } = place;
  const { anatomy, settings } = state;
  const plate = anatomy.plates.find((p) => p.id === cavity.hiddenBy);
  if (!plate) return [];
  const cover = [toBody(anatomy, plate.frame, plate.outline.outline)];
  return setsOf(cavity).map((set) => {
    const levels = cutOf(cavity, set);
    const route = regionOf(anatomy, cavity, levels);
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
        allowances: [levelsLeaf(cavity, levels), outlineLeaf(plate.outline, plate.id), plateBackLeaf(settings)],
      },
      settings.minHiddenEdge,
      gap.at,
    );
  });
}

/** A route edge that its cover hides. */
export const HIDDEN: About = { unit: 'mm', about: ['restsTwice', 'appearance', 'mishap', 'pickupFits'] };

export const HIDDEN_EDGE = rowsOf(['pickup'], ofPickup(hiddenEdge), { hiddenEdge: HIDDEN });
