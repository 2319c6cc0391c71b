import { placementOf, toBody, type Hole } from '../instrument/index.js';
import { leaf, type GeometryNode, type Leaf } from '../measure/index.js';
import { circle, gapApart, gapInside, placePoint, type Gap, type Region } from '../shape/index.js';
import { outlineLeaf, pocketsLeaf, regionOf } from './place.js';
import { placeLeaf, type Site } from './site.js';
import { verdict, type Verdict } from './verdict.js';

/**
 * A hole that is not there yet: how much wood is left to the nearest hole or hollow of its face, and to the body's edge.
 * 9.6 wide, 30 from the middle of a hole of 8: 21.2 [law]. Wanted 3 [memory].
 */
export function holeBeside(site: Site): readonly Verdict[] {
  const { choice, part, hole, state, at, room } = site;
  const through = part.sizes.bushing ?? part.sizes.outer ?? part.sizes.diameter;
  if (choice.place.on !== 'face' || !hole || !through || (hole.face !== 'top' && hole.face !== 'back')) return [];
  const { anatomy, settings } = state;
  const mine: Region = [circle(through.value + settings.wantedHoleOver, at)];
  const judge = (against: string, measure: GeometryNode['measure'], theirs: Region, gap: Gap, allowance: Leaf): Verdict =>
    verdict(
      'holeBeside',
      { feature: choice.id, item: 'hole', against },
      { op: 'geometry', label: 'woodBetween', measure, a: mine, b: theirs, value: gap.clearance, allowances: [placeLeaf(site), allowance] },
      settings.wantedBesideHole,
      gap.at,
    );
  const holes = anatomy.holes
    .filter((h) => h.id !== hole.id && h.face === hole.face && h.condition !== 'plugged' && h.diameter)
    .map((h) => {
      const theirs: Region = [circle(h.diameter?.value ?? 0, placePoint(h.at, placementOf(anatomy, h.frame)))];
      return judge(h.id, 'apart', theirs, gapApart(mine, theirs), ofHole(h));
    });
  // in a plate over a hollow there is no wood beside it
  const hollows = room?.from
    ? []
    : anatomy.cavities
        .filter((c) => c.face === hole.face && c.pockets.length > 0)
        .map((c) => judge(c.id, 'apart', regionOf(anatomy, c), gapApart(mine, regionOf(anatomy, c)), pocketsLeaf(c, c.pockets)));
  const nearest = [...holes, ...hollows].reduce<Verdict | null>((n, v) => (n && (n.clearance ?? 0) <= (v.clearance ?? 0) ? n : v), null);
  const { outline } = anatomy.body;
  const edge: Region = outline ? [toBody(anatomy, 'body', outline.outline)] : [];
  return [...(nearest ? [nearest] : []), ...(outline ? [judge('body', 'inside', edge, gapInside(mine, edge), outlineLeaf(outline, 'body'))] : [])];
}

function ofHole(h: Hole): Leaf {
  return leaf('holePlace', { value: 0, limit: h.limit, basis: h.basis }, { quantity: 'holePlace', feature: h.id });
}
