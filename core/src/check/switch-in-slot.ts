import { partRow } from '../part/index.js';
import type { FeatureOutline } from '../instrument/index.js';
import { leaf, sum, type Dimension } from '../measure/index.js';
import { bounds } from '../shape/index.js';
import type { Verdict } from './verdict.js';
import { judged, known, type PartSite } from './site.js';
import { ofHardware } from './of-choice.js';
import { MM, rowsOf } from './row.js';

/** Has the lever of a switch its slot: long enough for its travel, wide enough for the blade? 30 × 2.6 for 28 × 1.8: 2.0 and 0.8 [law]. */
function switchInSlot(site: PartSite): readonly Verdict[] {
  const { part, slot, state } = site;
  const outline = slot?.levels[0]?.outline;
  if (!partRow(site.rows, part.kind).goes.slots || !slot || !outline) return [];
  const { long, narrow } = spans(outline);
  const ref = { quantity: 'outline', feature: slot.id };
  return (
    [
      ['along', long, 'slotLength'],
      ['across', narrow, 'slotWidth'],
    ] as const
  ).map(([item, span, size]) =>
    judged(site, { check: 'switchInSlot', item, needs: { sizes: [size] }, minimum: state.settings.minHoleOver }, () =>
      sum('slotLeft', [1, leaf('slotSpan', span, ref)], [-1, known(site, size)]),
    ),
  );
}

/** How long and how wide a slot is: as it was read, else as it is drawn. */
function spans(o: FeatureOutline): { readonly long: Dimension; readonly narrow: Dimension } {
  const b = bounds([o.outline]);
  const across = o.across ?? { value: b.maxX - b.minX, limit: 2 * o.limit, basis: o.basis };
  const along = o.along ?? { value: b.maxY - b.minY, limit: 2 * o.limit, basis: o.basis };
  return across.value > along.value ? { long: across, narrow: along } : { long: along, narrow: across };
}

/** A lever in its slot. */
export const SWITCH_IN_SLOT = rowsOf(['hardware'], ofHardware(switchInSlot), {
  switchInSlot: MM,
});
