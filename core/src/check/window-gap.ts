import { leaf } from '../measure/index.js';
import { coverOf } from '../part/index.js';
import { gapInside } from '../shape/index.js';
import { toBody } from '../instrument/index.js';
import { laid, outlineLeaf, windowOf, type PlaceOfPart } from './place.js';
import { verdict, type Verdict } from './verdict.js';
import { ofPickup } from './of-choice.js';
import { rowsOf } from './row.js';

/** Does the cover stand free in the plate's window? 69 × 38 r 3 in 70 × 39 r 3.5 has 0.50 all round [law]. The part hangs from the plate, so putting it back moves both. */
function windowGap(place: PlaceOfPart): readonly Verdict[] {
  const { part, position, plate, state } = place;
  if (!part) return [];
  const window = windowOf(place);
  const hole = [toBody(state.anatomy, plate.frame, window.outline.outline)];
  return coverOf(part).map((cover) => {
    const region = [laid(cover.outline, position)];
    const gap = gapInside(region, hole);
    return verdict(
      'windowGap',
      { feature: position.id, item: 'cover', against: window.id },
      {
        op: 'geometry',
        label: 'roomInside',
        measure: 'inside',
        a: region,
        b: hole,
        value: gap.clearance,
        allowances: [
          leaf('partOutline', { value: 0, limit: cover.limit, basis: cover.basis }, { quantity: 'partOutline', feature: part.id }),
          outlineLeaf(window.outline, plate.id, window.id),
        ],
      },
      state.settings.minWindowGap,
      gap.at,
    );
  });
}

/** The cover in the window of its plate. */
export const WINDOW_GAP = rowsOf(['pickup'], ofPickup(windowGap), {
  windowGap: { unit: 'mm', about: ['pickupFits'] },
});
