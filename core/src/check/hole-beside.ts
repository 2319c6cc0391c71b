import { placementOf, toBody, type Cavity, type Hole } from '../instrument/index.js';
import { leaf, type GeometryNode, type Leaf } from '../measure/index.js';
import { bounds, circle, gapApart, gapInside, placePoint, type Gap, type Point, type Region } from '../shape/index.js';
import { outlineLeaf, pocketsLeaf, regionOf } from './place.js';
import { placeLeaf, type Site } from './site.js';
import { verdict, type Verdict } from './verdict.js';

/**
 * A hole that is not there yet, or is drilled anew elsewhere: how much wood is left to the nearest hole or hollow of its face, and to the body's edge.
 * 9.6 wide, 30 from the middle of a hole of 8: 21.2 [law]. Wanted 3 [memory].
 */
export function holeBeside(site: Site): readonly Verdict[] {
  const { choice, part, hole, state, at, room } = site;
  const through = part.sizes.bushing ?? part.sizes.outer ?? part.sizes.diameter;
  const fresh = choice.place.on === 'face' || choice.work.some((w) => w.kind === 'moveHole');
  if (!fresh || !hole || !through || (hole.face !== 'top' && hole.face !== 'back')) return [];
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
  const beside = nearestHole(site, hole);
  const holes = beside ? [judge(beside.hole.id, 'apart', beside.edge, gapApart(mine, beside.edge), ofHole(beside.hole))] : [];
  // in a plate over a hollow there is no wood beside it
  const hollow = room?.from ? null : nearestHollow(site, hole, mine);
  const hollows = hollow ? [judge(hollow.cavity.id, 'apart', hollow.region, hollow.gap, pocketsLeaf(hollow.cavity, hollow.cavity.pockets))] : [];
  const nearest = [...holes, ...hollows].reduce<Verdict | null>((n, v) => (n && (n.clearance ?? 0) <= (v.clearance ?? 0) ? n : v), null);
  const { outline } = anatomy.body;
  const edge: Region = outline ? [toBody(anatomy, 'body', outline.outline)] : [];
  return [...(nearest ? [nearest] : []), ...(outline ? [judge('body', 'inside', edge, gapInside(mine, edge), outlineLeaf(outline, 'body'))] : [])];
}

function ofHole(h: Hole): Leaf {
  return leaf('holePlace', { value: 0, limit: h.limit, basis: h.basis }, { quantity: 'holePlace', feature: h.id });
}

/** The hole of the same face with least wood to this one: of round holes that follows from their middles. */
function nearestHole({ state: { anatomy }, at }: Site, mine: Hole): { readonly hole: Hole; readonly edge: Region } | null {
  let best: { readonly hole: Hole; readonly middle: Point; readonly left: number } | null = null;
  for (const hole of anatomy.holes) {
    if (hole.id === mine.id || hole.face !== mine.face || hole.condition === 'plugged' || !hole.diameter) continue;
    const middle = placePoint(hole.at, placementOf(anatomy, hole.frame));
    const left = Math.hypot(middle.x - at.x, middle.y - at.y) - hole.diameter.value / 2;
    if (!best || left < best.left) best = { hole, middle, left };
  }
  return best && { hole: best.hole, edge: [circle(best.hole.diameter?.value ?? 0, best.middle)] };
}

/** The hollow of the same face with least wood to it; one whose box lies further than the best so far is not measured. */
function nearestHollow(
  { state: { anatomy }, at }: Site,
  hole: Hole,
  mine: Region,
): { readonly cavity: Cavity; readonly region: Region; readonly gap: Gap } | null {
  const far = (region: Region): number => {
    const b = bounds(region);
    return Math.hypot(Math.max(b.minX - at.x, 0, at.x - b.maxX), Math.max(b.minY - at.y, 0, at.y - b.maxY));
  };
  const radius = Math.hypot((mine[0]?.vertices[0]?.x ?? at.x) - at.x, (mine[0]?.vertices[0]?.y ?? at.y) - at.y);
  let best: { readonly cavity: Cavity; readonly region: Region; readonly gap: Gap } | null = null;
  for (const cavity of anatomy.cavities) {
    if (cavity.face !== hole.face || cavity.pockets.length === 0) continue;
    const region = regionOf(anatomy, cavity);
    if (best && far(region) - radius > best.gap.clearance) continue;
    const gap = gapApart(mine, region);
    if (!best || gap.clearance < best.gap.clearance) best = { cavity, region, gap };
  }
  return best;
}
