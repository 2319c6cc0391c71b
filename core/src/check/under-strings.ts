import { constant, leaf, setting, sum, valueOf, worstCase, type Dimension, type Working } from '../measure/index.js';
import type { Pickup, PickupSizeId } from '../part/index.js';
import { partLeaf, raisedTerm, type PlaceOfPart } from './place.js';
import { lackingVerdict, verdict, type Verdict } from './verdict.js';
import { ofPickup } from './of-choice.js';
import { MM, rowsOf } from './row.js';

/** From the strings, held at the last fret, to the cover: the nearest and the furthest that is usual, mm. */
const NEAR = constant(1.6, 'memory', 'Pickups under strings');
const FAR = constant(2.5, 'memory', 'Pickups under strings');
const NEAR_BASS = constant(2, 'memory', 'Pickups under strings');
const FAR_BASS = constant(3, 'memory', 'Pickups under strings');

/**
 * Where it is known how high the strings lie over the face: does a pickup stay clear of them when it is let down, and does it come near enough when it is brought up?
 * 11.0 of string over a cover that stands 8.0 above the face: 3.0 [law]; with 0.3 of travel upwards 2.7, where 2.5 is the most [memory].
 * Its travel is only asked for where it does not do without.
 */
function underStrings(place: PlaceOfPart): readonly Verdict[] {
  const { part, position } = place;
  const height = position.stringHeight;
  if (!part || !height) return [];
  const bass = part.kind.startsWith('bass');
  const [near, far] = bass ? [NEAR_BASS.value, FAR_BASS.value] : [NEAR.value, FAR.value];
  const away = sum(
    'toStrings',
    [1, leaf('stringHeight', height, { quantity: 'stringHeight', feature: position.id })],
    [-1, partLeaf('coverTop', topOf(part), part.id)],
    ...raisedTerm(place).map(([, of]) => [-1, of] as const),
  );
  const subject = { feature: position.id, item: 'cover' };
  const at = position.at;
  const withTravel = (check: string, size: PickupSizeId, minimum: number, working: (travel: Working | null) => Working): Verdict => {
    const alone = working(null);
    const does = valueOf(alone) - worstCase(alone) >= minimum;
    const travel = part.sizes?.[size];
    if (does) return verdict(check, subject, alone, minimum, at);
    if (!travel) return lackingVerdict(check, subject, { lacks: [{ part: part.id, size }], missing: [], minimum, at });
    return verdict(check, subject, working(partLeaf(size, travel, part.id)), minimum, at);
  };
  return [
    withTravel('clearOfStrings', 'travelDown', near, (travel) => (travel ? sum('letDown', [1, away], [1, travel]) : away)),
    withTravel('nearStrings', 'travelUp', 0, (travel) =>
      sum('withinReach', [1, setting('mostToStrings', far, 'trade')], [-1, away], ...(travel ? [[1, travel] as const] : [])),
    ),
  ];
}

/** How far a pickup stands above the face that it hangs from, as surely as its depth is known. */
function topOf({ tiers }: Pickup): Dimension {
  const highest = tiers.reduce((h, t) => (t.from < h.from ? t : h));
  return { ...highest.lowest, value: -highest.from };
}

/** A pickup's distance from its strings. */
export const UNDER_STRINGS = rowsOf(['pickup'], ofPickup(underStrings), {
  clearOfStrings: MM,
  nearStrings: MM,
});
