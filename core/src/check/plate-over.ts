import { placementOf, toBody } from '../instrument/index.js';
import { leaf } from '../measure/index.js';
import { circle, gapApart, gapInside, placePoint } from '../shape/index.js';
import { woodScrewShank } from '../part/index.js';
import { outlineLeaf, plateBackLeaf, levelsLeaf, regionOf } from './place.js';
import { verdict, type Verdict } from './verdict.js';
import type { PartSite } from './site.js';
import { ofHardware } from './of-choice.js';
import { MM, rowsOf } from './row.js';

/** Does a new plate, guard or ring hide what the old one hid, with a lip all round, and do its screws land in wood and not in a cavity? */
function plateOver(site: PartSite): readonly Verdict[] {
  const { plate, state, choice, part } = site;
  if (!plate || !part.shape || (choice.place.on === 'feature' && choice.place.screw !== undefined)) return [];
  const { anatomy, settings } = state;
  const cover = [toBody(anatomy, plate.frame, plate.outline.outline)];
  const edge = outlineLeaf(plate.outline, plate.id);
  const hidden = anatomy.cavities
    .filter((c) => c.hiddenBy === plate.id && c.levels.length > 0)
    .map((c) => {
      const open = regionOf(anatomy, c);
      const gap = gapInside(open, cover);
      return verdict(
        'plateHides',
        { feature: choice.id, item: 'outline', against: c.id },
        {
          op: 'geometry',
          label: 'hiddenEdge',
          measure: 'inside',
          a: open,
          b: cover,
          value: gap.clearance,
          allowances: [levelsLeaf(c, c.levels), edge, plateBackLeaf(settings)],
        },
        settings.minHiddenEdge,
        gap.at,
      );
    });
  const cavities = anatomy.cavities.filter((c) => c.face === plate.face && c.levels.length > 0);
  const screws = plate.screws.flatMap((s, i): readonly Verdict[] => {
    const at = placePoint(s, placementOf(anatomy, plate.frame));
    const screw = [circle(woodScrewShank(s.gauge), at)];
    const nearest = cavities
      .map((c) => ({ c, gap: gapApart(screw, regionOf(anatomy, c)) }))
      .reduce<{ c: (typeof cavities)[number]; gap: ReturnType<typeof gapApart> } | null>((n, x) => (n && n.gap.clearance <= x.gap.clearance ? n : x), null);
    if (!nearest) return [];
    const place = leaf('holePlace', { value: 0, limit: plate.outline.limit, basis: plate.outline.basis }, { quantity: 'outline', feature: plate.id });
    return [
      verdict(
        'screwBeside',
        { feature: choice.id, item: `screw ${i + 1}`, against: nearest.c.id },
        {
          op: 'geometry',
          label: 'woodBeside',
          measure: 'apart',
          a: screw,
          b: regionOf(anatomy, nearest.c),
          value: nearest.gap.clearance,
          allowances: [levelsLeaf(nearest.c, nearest.c.levels), place, plateBackLeaf(settings)],
        },
        settings.minBesideScrew,
        nearest.gap.at,
      ),
    ];
  });
  return [...hidden, ...screws];
}

/** A plate over what it hides, its screws beside a cavity. */
export const PLATE_OVER = rowsOf(['hardware'], ofHardware(plateOver), {
  plateHides: { unit: 'mm', about: ['appearance'] },
  screwBeside: MM,
});
