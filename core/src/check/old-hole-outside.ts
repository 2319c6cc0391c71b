import { placementOf, toBody, type Anatomy, type HoleKind, type Plate } from '../instrument/index.js';
import { woodScrewShank } from '../part/index.js';
import { circle, containsPoint, gapInside, placePoint, type Point, type Region } from '../shape/index.js';
import { holePlaceLeaf } from './holes-in-wood.js';
import { ofHardware } from './of-choice.js';
import { outlineLeaf, plateBackLeaf, type PlanState } from './place.js';
import { rowsOf } from './row.js';
import type { PartSite } from './site.js';
import { verdict, type Verdict } from './verdict.js';

/** What is in the wood under a plate for its own sake; the others come through it. */
const UNDER: ReadonlySet<HoleKind> = new Set(['screw', 'wire', 'other']);
/** A new screw this near to an old one goes into its hole, mm [memory]. */
const SAME_HOLE = 1;

/** A hole that was covered, by what it is called in a verdict. */
interface OldHole {
  readonly item: string;
  readonly against: string;
  readonly at: Point;
  readonly edge: Region;
}

/**
 * Does another plate, guard, ring or bridge hide what the old one hid besides cavities: the holes of its screws, and others under it? Each by how far its edge lies inside
 * the new outline: a screw of 2.84 at 50 under an edge at 49 shows by 2.42 [law]. Plugged ones are told where they were plugged.
 */
function oldHoleOutside(site: PartSite, found: PlanState): readonly Verdict[] {
  const { plate, choice, state } = site;
  const was = found.anatomy.plates.find((p) => p.id === plate?.id);
  if (!plate || !was || was.outline.outline === plate.outline.outline || (choice.place.on === 'feature' && choice.place.screw !== undefined)) return [];
  const cover = [toBody(state.anatomy, plate.frame, plate.outline.outline)];
  return [...holesUnder(state.anatomy, found.anatomy, was), ...screwHoles(state.anatomy, found.anatomy, { was, plate })].map(({ item, against, edge }) => {
    const gap = gapInside(edge, cover);
    const hole = state.anatomy.holes.find((h) => h.id === against);
    return verdict(
      'oldHoleOutside',
      { feature: choice.id, item, against },
      {
        op: 'geometry',
        label: 'hiddenUnder',
        measure: 'inside',
        a: edge,
        b: cover,
        value: gap.clearance,
        allowances: [outlineLeaf(plate.outline, plate.id), hole ? holePlaceLeaf(hole) : outlineLeaf(was.outline, was.id), plateBackLeaf(state.settings)],
      },
      state.settings.minHiddenEdge,
      gap.at,
    );
  });
}

function holesUnder(anatomy: Anatomy, found: Anatomy, was: Plate): readonly OldHole[] {
  const old = toBody(found, was.frame, was.outline.outline);
  return anatomy.holes.flatMap((h): readonly OldHole[] => {
    const at = placePoint(h.at, placementOf(anatomy, h.frame));
    if (h.face !== was.face || h.condition === 'plugged' || !UNDER.has(h.kind) || !h.diameter) return [];
    if (h.hiddenBy !== was.id && !containsPoint(old, at)) return [];
    return inACavity(anatomy, was, at) ? [] : [{ item: '', against: h.id, at, edge: [circle(h.diameter.value, at)] }];
  });
}

/** The holes of the old plate's screws that no screw of the new one goes into, and that are not drawn as holes. */
function screwHoles(anatomy: Anatomy, found: Anatomy, { was, plate }: { readonly was: Plate; readonly plate: Plate }): readonly OldHole[] {
  const now = plate.screws.map((s) => placePoint(s, placementOf(anatomy, plate.frame)));
  const drawn = anatomy.holes.filter((h) => h.face === was.face).map((h) => placePoint(h.at, placementOf(anatomy, h.frame)));
  return was.screws.flatMap((s, i): readonly OldHole[] => {
    const at = placePoint(s, placementOf(found, was.frame));
    const isThere = (p: Point): boolean => Math.hypot(p.x - at.x, p.y - at.y) <= SAME_HOLE;
    if (now.some(isThere) || drawn.some(isThere) || inACavity(anatomy, was, at)) return [];
    return [{ item: `screw ${i + 1}`, against: was.id, at, edge: [circle(woodScrewShank(s.gauge), at)] }];
  });
}

function inACavity(anatomy: Anatomy, { face }: Plate, at: Point): boolean {
  return anatomy.cavities.some((c) => c.face === face && c.levels.some((p) => containsPoint(toBody(anatomy, c.frame, p.outline.outline), at)));
}

/** A hole that an old plate hid. */
export const OLD_HOLE_OUTSIDE = rowsOf(['hardware'], ofHardware(oldHoleOutside), {
  oldHoleOutside: { unit: 'mm', about: ['appearance'] },
});
