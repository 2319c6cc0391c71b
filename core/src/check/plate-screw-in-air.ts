import { placementOf, setsOf } from '../instrument/index.js';
import { setting } from '../measure/index.js';
import { woodScrewShank } from '../part/index.js';
import { betweenBoxes, bounds, circle, gapApart, placePoint, type Gap, type Region } from '../shape/index.js';
import { FOUND_SET } from './choice.js';
import { cutOf } from './hidden-edge.js';
import { levelsLeaf, regionOf, type PlaceOfPart } from './place.js';
import { verdict, type Verdict } from './verdict.js';
import { ofPickup } from './of-choice.js';
import { MM, rowsOf } from './row.js';

/** Do the screws of the plate over it still land in wood beside each new cut? The worst one of each; hard limit 0, wanted 2 [memory]. What it came with is as it was found. */
function plateScrewInAir(place: PlaceOfPart): readonly Verdict[] {
  const { cavity, plate, state } = place;
  const { anatomy, settings } = state;
  return setsOf(cavity)
    .filter((set) => set !== FOUND_SET)
    .flatMap((set) => {
      const levels = cutOf(cavity, set);
      const route = regionOf(anatomy, cavity, levels);
      const worst = nearestScrew(place, route);
      if (!worst) return [];
      const screw = setting('screwPlace', 0, 'limitPlateBack', settings.limitPlateBack);
      return verdict(
        'plateScrewInAir',
        { feature: plate.id, item: `screw ${worst.i + 1}`, against: set },
        {
          op: 'geometry',
          label: 'woodBeside',
          measure: 'apart',
          a: worst.region,
          b: route,
          value: worst.gap.clearance,
          allowances: [levelsLeaf(cavity, levels), screw],
        },
        settings.minBesideScrew,
        worst.gap.at,
      );
    });
}

interface Screw {
  readonly i: number;
  readonly region: Region;
  readonly gap: Gap;
}

/** The screw with the least wood beside it; one that lies further from the route's box than another from the route is not looked at. */
function nearestScrew({ plate, state }: PlaceOfPart, route: Region): Screw | null {
  const by = placementOf(state.anatomy, plate.frame);
  const box = bounds(route);
  return plate.screws
    .map((s, i) => {
      const shank = woodScrewShank(s.gauge);
      const at = placePoint(s, by);
      return { i, shank, at, least: betweenBoxes({ minX: at.x, minY: at.y, maxX: at.x, maxY: at.y }, box) - shank / 2 };
    })
    .sort((p, q) => p.least - q.least)
    .reduce<Screw | null>((w, { i, shank, at, least }) => {
      if (w && least > w.gap.clearance) return w;
      const region = [circle(shank, at)];
      const gap = gapApart(region, route);
      return w && w.gap.clearance <= gap.clearance ? w : { i, region, gap };
    }, null);
}

/** A plate’s screw over a cavity. */
export const PLATE_SCREW_IN_AIR = rowsOf(['pickup'], ofPickup(plateScrewInAir), {
  plateScrewInAir: MM,
});
