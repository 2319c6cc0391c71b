import { toBody } from '../instrument/index.js';
import { gapInside } from '../shape/index.js';
import { outlineLeaf, plateBackLeaf, levelsLeaf, regionOf, windowOf, type PlaceOfPart } from './place.js';
import { verdict, type Verdict } from './verdict.js';
import { ofPickup } from './of-choice.js';
import { rowsOf } from './row.js';

/** Is the route's edge out of sight behind the window? Window 70 × 39 r 3.5 before a route 71.5 × 40.5 r 4.7625: 0.54 at the corners [law]. */
function behindWindow(place: PlaceOfPart): Verdict {
  const { cavity, plate, position, state } = place;
  const window = windowOf(place);
  const hole = [toBody(state.anatomy, plate.frame, window.outline.outline)];
  const route = regionOf(state.anatomy, cavity);
  const gap = gapInside(hole, route);
  return verdict(
    'behindWindow',
    { feature: position.id, item: cavity.id, against: window.id },
    {
      op: 'geometry',
      label: 'edgeBehindWindow',
      measure: 'inside',
      a: hole,
      b: route,
      value: gap.clearance,
      allowances: [levelsLeaf(cavity, cavity.levels), outlineLeaf(window.outline, plate.id, window.id), plateBackLeaf(state.settings)],
    },
    state.settings.minBehindWindow,
    gap.at,
  );
}

/** A route edge that a window would show. */
export const BEHIND_WINDOW = rowsOf(
  ['pickup'],
  ofPickup((place) => [behindWindow(place)]),
  {
    behindWindow: { unit: 'mm', about: ['restsTwice', 'appearance', 'mishap', 'pickupFits'] },
  },
);
