import { setsOf, toBody } from '../instrument/index.js';
import { setting } from '../measure/index.js';
import { woodScrewShank } from '../part/index.js';
import { circle, gapApart } from '../shape/index.js';
import { FOUND_SET } from './choice.js';
import { cutOf } from './hidden-edge.js';
import { levelsLeaf, regionOf, type PlaceOfPart } from './place.js';
import { verdict, type Verdict } from './verdict.js';
import { ofPickup } from './of-choice.js';
import { MM, rowsOf } from './row.js';

/** Do the screws of the plate over it still land in wood beside each new cut? The worst one of each; hard limit 0, wanted 2 [memory]. What it came with is as it was found. */
function plateScrewInAir({ cavity, plate, state }: PlaceOfPart): readonly Verdict[] {
  const { anatomy, settings } = state;
  return setsOf(cavity)
    .filter((set) => set !== FOUND_SET)
    .flatMap((set) => {
      const levels = cutOf(cavity, set);
      const route = regionOf(anatomy, cavity, levels);
      const worst = plate.screws
        .map((s, i) => ({ i, screw: [toBody(anatomy, plate.frame, circle(woodScrewShank(s.gauge), s))] }))
        .map((s) => ({ ...s, gap: gapApart(s.screw, route) }))
        .reduce<{ i: number; screw: readonly ReturnType<typeof circle>[]; gap: ReturnType<typeof gapApart> } | null>(
          (w, s) => (w && w.gap.clearance <= s.gap.clearance ? w : s),
          null,
        );
      if (!worst) return [];
      const place = setting('screwPlace', 0, 'limitPlateBack', settings.limitPlateBack);
      return verdict(
        'plateScrewInAir',
        { feature: plate.id, item: `screw ${worst.i + 1}`, against: set },
        {
          op: 'geometry',
          label: 'woodBeside',
          measure: 'apart',
          a: worst.screw,
          b: route,
          value: worst.gap.clearance,
          allowances: [levelsLeaf(cavity, levels), place],
        },
        settings.minBesideScrew,
        worst.gap.at,
      );
    });
}

/** A plate’s screw over a cavity. */
export const PLATE_SCREW_IN_AIR = rowsOf(['pickup'], ofPickup(plateScrewInAir), {
  plateScrewInAir: MM,
});
