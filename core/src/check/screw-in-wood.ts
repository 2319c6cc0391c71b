import { depthOf, depthTerms, type DepthHere } from './depth-here.js';
import { toBody, type Cavity } from '../instrument/index.js';
import { leaf, setting, sum, type Working } from '../measure/index.js';
import { partRow, woodScrewShank } from '../part/index.js';
import type { Target } from '../quantity/index.js';
import { circle, containsPoint, distanceToEdge, gapApart, regionBoundary, regionContains } from '../shape/index.js';
import { holesInWood } from './holes-in-wood.js';
import { levelsLeaf, regionOf } from './place.js';
import { stackOf, type Stack } from './screw-stack.js';
import { missingVerdict, verdict, type Verdict } from './verdict.js';
import { judged, known, placeLeaf, type PartSite, sure } from './site.js';
import { ofHardware } from './of-choice.js';
import { MM, rowsOf } from './row.js';
import { woodThrough } from './wood-through.js';

/**
 * A wood screw through what it holds: does enough of it reach the wood, does its point stay in, and is there wood at all?
 * 13 long through a plate of 2 holds by 11; in 15 of wood 4 are left under its point; 45 through a plate of 3 and 28 of body has 14 in a heel of 26, 12 under its
 * point [law]. Wanted 8 in wood for light hardware, 20 for a strap pin [trade], 12 in a heel [memory], 3 under the point [trade].
 */
function screwInWood(site: PartSite): readonly Verdict[] {
  const { part, plate, state, hole } = site;
  const { holdsInWood } = partRow(site.rows, part.kind);
  if (!holdsInWood) return [];
  const { anatomy, settings } = state;
  const edge = plate?.face ?? hole?.face ?? 'top';
  const stack = stackOf(site, edge);
  const held = (): Working =>
    sum(stack.neck ? 'inHeel' : 'inWood', [1, known(site, 'length')], ...stack.terms().map(([sign, of]) => [sign === 1 ? -1 : 1, of] as const));
  const minimum = stack.neck ? settings.minHoldNeck : settings[holdsInWood];
  const holds = judged(site, { check: 'screwHolds', item: stack.neck ? 'heel' : '', needs: { targets: stack.needs, sizes: ['length'] }, minimum }, held);
  const freely = [holds, ...passes(site, stack), ...seats(site, stack)];
  // what goes into an edge or the neck has no cavity of a face beside it that is known
  if (edge !== 'top' && edge !== 'back') return freely;
  if (stack.neck) return [...freely, inHeel(site, stack, held), ...beside(site, edge, Infinity)];
  const air = cavityAt(site, edge);
  if (air) return [...freely, inAir(site, air)];
  const body = woodThrough(anatomy);
  const under = underShank(site, edge);
  const needs = [...stack.needs, ...body.needs, ...(under ? [[under.depth, under.target] as const] : [])];
  const point = judged(site, { check: 'screwPoint', needs: { targets: needs, sizes: ['length'] }, minimum: settings.minUnderPoint }, () => {
    const wood = sum('woodHere', ...body.terms(), ...(under ? depthTerms(-1, 'depthBelow', under) : []));
    const short = under ? taperAt(site, under.off) : 0;
    return sum('underPoint', [1, wood], [-1, held()], ...(short > 0 ? [[1, setting('pointTaper', short, 'tool')] as const] : []));
  });
  const reach = part.sizes.length ? part.sizes.length.value - (stack.plate?.thickness?.value ?? 0) : Infinity;
  return [...freely, point, ...beside(site, edge, reach)];
}

/** The wood of the heel, its board with it, under the point of a screw that holds a neck. */
function inHeel(site: PartSite, { needs }: Stack, held: () => Working): Verdict {
  const { neck } = site.state.anatomy;
  const heel: Target = { quantity: 'heelThickness', feature: 'neck' };
  const thick = neck.heelThickness ?? null;
  return judged(
    site,
    { check: 'screwPoint', item: 'heel', needs: { targets: [...needs, [thick, heel]], sizes: ['length'] }, minimum: site.state.settings.minUnderPoint },
    () => sum('underPoint', [1, leaf('heelThickness', sure(thick), heel)], [-1, held()]),
  );
}

/** The hole of a plate for a screw is so much wider than the shank that its place is for, mm [memory: half of 0.3 to 0.5]. */
const PLATE_PLAY = 0.4;

/** The hole that a plate has for the screw, where its place is known: its gauge's shank [std: ASME B18.6.1] and the usual play. */
function plateHole({ choice: { place } }: PartSite, { plate }: Stack): Working | null {
  const screw = place.on === 'feature' && place.screw !== undefined ? plate?.screws[place.screw] : undefined;
  return screw ? sum('plateHole', [1, setting('screwShank', woodScrewShank(screw.gauge), 'screw')], [1, setting('plateHolePlay', PLATE_PLAY, 'screw')]) : null;
}

/** Does the shank pass all but the last member freely? A thread that bites in the first holds the joint open. Wanted 0.3 in wood [trade]. */
function passes(site: PartSite, stack: Stack): readonly Verdict[] {
  const { choice, part, state } = site;
  const out: Verdict[] = [];
  const hole = plateHole(site, stack);
  if (hole && stack.plate && part.sizes.diameter)
    out.push(
      judged(site, { check: 'screwPasses', item: 'plate', against: stack.plate.id, needs: {}, minimum: 0 }, () =>
        sum('screwPlay', [1, hole], [-1, known(site, 'diameter')]),
      ),
    );
  if (!stack.neck) return out;
  const minimum = state.settings.minScrewPlay;
  const { bore, pocket } = stack.neck;
  if (!bore) return [...out, missingVerdict('screwPasses', { feature: choice.id, item: 'body', against: pocket.id }, [], minimum, site.at)];
  const target: Target = { quantity: 'holeDiameter', feature: bore.id };
  const needs = { targets: [[bore.diameter, target]] as const, sizes: ['diameter'] as const };
  return [
    ...out,
    judged(site, { check: 'screwPasses', item: 'body', against: bore.id, needs, minimum }, () =>
      sum('screwPlay', [1, leaf('holeDiameter', sure(bore.diameter), target)], [-1, known(site, 'diameter')]),
    ),
  ];
}

/** Does the head sit on the plate? It must be wider than the plate's hole; wanted 1 [memory]. Not asked while nobody said how wide it is. */
function seats(site: PartSite, stack: Stack): readonly Verdict[] {
  const hole = plateHole(site, stack);
  const { head } = site.part.sizes;
  if (!hole || !head) return [];
  return [
    judged(site, { check: 'headSeats', needs: {}, minimum: site.state.settings.minHeadSeat }, () => sum('headOverHole', [1, known(site, 'head')], [-1, hole])),
  ];
}

/** A shank that nobody measured, mm [memory]. */
const USUAL_SHANK = 3;

const radiusOf = ({ part }: PartSite): number => (part.sizes.diameter?.value ?? USUAL_SHANK) / 2;

/** How much less deep than its tip a screw is, so far off its axis: its point is a cone as long as the shank is wide [memory]. 4 thick, 0.1 off: 0.2. */
function taperAt(site: PartSite, off: number): number {
  return 2 * Math.min(off, radiusOf(site));
}

/** What of the other face lies under any part of a screw's shank. */
interface Under extends DepthHere {
  /** How far off the screw's axis it begins, mm. */
  readonly off: number;
}

/** What a screw comes to first: the cavity or bore of the other face that leaves it least wood; one of unknown depth counts as the first. */
function underShank(site: PartSite, face: 'top' | 'back'): Under | null {
  const { state, at } = site;
  const { anatomy } = state;
  const levels = anatomy.cavities
    .filter((c) => c.face !== face)
    .flatMap((c) =>
      c.levels.map((p): Under => {
        const region = [toBody(anatomy, c.frame, p.outline.outline)];
        const off = regionContains(region, at) ? 0 : distanceToEdge(regionBoundary(region), at);
        return { ...depthOf(c, p), off };
      }),
    );
  const bores = holesInWood(anatomy)
    .filter(({ hole }) => hole.face !== face && !hole.through && hole.id !== site.hole?.id)
    .map(({ hole, at: middle }): Under => {
      const off = Math.max(0, Math.hypot(middle.x - at.x, middle.y - at.y) - (hole.diameter?.value ?? 0) / 2);
      return { depth: hole.depth, target: { quantity: 'holeDepth', feature: hole.id }, fall: null, off };
    });
  const up = (u: Under): number => (u.depth?.value ?? Infinity) - taperAt(site, u.off);
  return [...levels, ...bores].filter((u) => u.off < radiusOf(site)).reduce<Under | null>((most, u) => (most && up(most) >= up(u) ? most : u), null);
}

/** The cavity of the screw's own face that it would land in. */
function cavityAt({ state: { anatomy }, at }: PartSite, face: 'top' | 'back'): Cavity | null {
  return anatomy.cavities.find((c) => c.face === face && c.levels.some((p) => containsPoint(toBody(anatomy, c.frame, p.outline.outline), at))) ?? null;
}

/** It lands in a cavity: by how far it would have to move to reach wood. */
function inAir(site: PartSite, cavity: Cavity): Verdict {
  return besideOf(site, cavity);
}

/** The wood between a screw that reaches so far into the wood and the nearest cavity beside it: of its face, or one of the other that comes up as far as its point. */
function beside(site: PartSite, face: 'top' | 'back', reach: number): readonly Verdict[] {
  const { anatomy } = site.state;
  const thick = anatomy.body.thickness?.value ?? 0;
  const isBeside = (c: Cavity): boolean => {
    if (c.levels.length === 0) return false;
    const up = Math.max(...c.levels.map((p) => p.depth?.value ?? Infinity));
    return c.face === face || (up + reach > thick && gapApart([circle(2 * radiusOf(site), site.at)], regionOf(anatomy, c)).clearance >= 0);
  };
  const all = anatomy.cavities.filter(isBeside).map((c) => besideOf(site, c));
  const nearest = all.reduce<Verdict | null>((n, v) => (n && (n.clearance ?? 0) <= (v.clearance ?? 0) ? n : v), null);
  return nearest ? [nearest] : [];
}

function besideOf(site: PartSite, cavity: Cavity): Verdict {
  const { state, at, choice } = site;
  const screw = [circle(2 * radiusOf(site), at)];
  const air = regionOf(state.anatomy, cavity);
  const gap = gapApart(screw, air);
  return verdict(
    'screwBeside',
    { feature: choice.id, item: 'screw', against: cavity.id },
    {
      op: 'geometry',
      label: 'woodBeside',
      measure: 'apart',
      a: screw,
      b: air,
      value: gap.clearance,
      allowances: [levelsLeaf(cavity, cavity.levels), placeLeaf(site)],
    },
    state.settings.minBesideScrew,
    gap.at,
  );
}

/** A thread bites when its shank is wider than the hole it goes into: an old hole that is wider is stripped. */
function threadBites(site: PartSite): readonly Verdict[] {
  const { part, hole, state, choice } = site;
  if (!partRow(site.rows, part.kind).holdsInWood || hole?.kind !== 'screw' || choice.place.on === 'face' || stackOf(site, hole.face).neck) return [];
  const target: Target = { quantity: 'holeDiameter', feature: hole.id };
  return [
    judged(site, { check: 'threadBites', needs: { targets: [[hole.diameter, target]], sizes: ['diameter'] }, minimum: state.settings.minBite }, () =>
      sum('bite', [1, known(site, 'diameter')], [-1, leaf('holeDiameter', sure(hole.diameter), target)]),
    ),
  ];
}

/** Thread in wood, wood under its point and beside it. */
export const SCREW_IN_WOOD = [
  ...rowsOf(['hardware'], ofHardware(screwInWood), {
    screwHolds: MM,
    screwPoint: { unit: 'mm', about: ['restsTwice'] },
    screwBeside: MM,
    screwPasses: { unit: 'mm', about: ['undrawn'] },
    headSeats: MM,
  }),
  ...rowsOf(['hardware'], ofHardware(threadBites), { threadBites: MM }),
];
