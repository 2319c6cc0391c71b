import { depthOf, depthTerms, type DepthHere } from './depth-here.js';
import { toBody, type Cavity } from '../instrument/index.js';
import { leaf, setting, sum, type Working } from '../measure/index.js';
import { partRow } from '../part/index.js';
import type { Target } from '../quantity/index.js';
import { circle, containsPoint, distanceToEdge, gapApart, regionBoundary, regionContains } from '../shape/index.js';
import { holesInWood } from './holes-in-wood.js';
import { levelsLeaf, regionOf } from './place.js';
import { verdict, type Verdict } from './verdict.js';
import { judged, known, placeLeaf, type PartSite, sure } from './site.js';
import { ofHardware } from './of-choice.js';
import { MM, rowsOf } from './row.js';
import { woodThrough } from './wood-through.js';

/**
 * A wood screw through what it holds: does enough of it reach the wood, does its point stay in, and is there wood at all?
 * 13 long through a plate of 2 holds by 11; in 15 of wood 4 are left under its point [law]. Wanted 8 in wood for light hardware, 20 for a strap pin, 3 under the point [trade].
 */
function screwInWood(site: PartSite): readonly Verdict[] {
  const { part, choice, plate, state, hole } = site;
  const { holdsInWood } = partRow(site.rows, part.kind);
  if (!holdsInWood) return [];
  const { anatomy, settings } = state;
  const face = plate?.face ?? (hole?.face === 'back' ? 'back' : 'top');
  const through = choice.place.on === 'feature' && choice.place.screw !== undefined && plate;
  const plateThick: Target = { quantity: 'plateThickness', feature: plate?.id ?? '' };
  const passes = through ? plate.thickness : null;
  const held = (): Working =>
    through ? sum('inWood', [1, known(site, 'length')], [-1, leaf('plateThickness', sure(passes), plateThick)]) : sum('inWood', [1, known(site, 'length')]);
  const targets = through ? [[passes, plateThick] as const] : [];
  const minimum = settings[holdsInWood];
  const holds = judged(site, { check: 'screwHolds', needs: { targets, sizes: ['length'] }, minimum }, held);
  // what goes into an edge or the neck has no cavity of a face beside it that is known
  if (hole && hole.face !== 'top' && hole.face !== 'back') return [holds];
  const air = cavityAt(site, face);
  if (air) return [holds, inAir(site, air)];
  const body = woodThrough(anatomy);
  const under = underShank(site, face);
  const needs = [...targets, ...body.needs, ...(under ? [[under.depth, under.target] as const] : [])];
  const point = judged(site, { check: 'screwPoint', needs: { targets: needs, sizes: ['length'] }, minimum: settings.minUnderPoint }, () => {
    const wood = sum('woodHere', ...body.terms(), ...(under ? depthTerms(-1, 'depthBelow', under) : []));
    const short = under ? taperAt(site, under.off) : 0;
    return sum('underPoint', [1, wood], [-1, held()], ...(short > 0 ? [[1, setting('pointTaper', short, 'tool')] as const] : []));
  });
  const reach = part.sizes.length ? part.sizes.length.value - (passes?.value ?? 0) : Infinity;
  return [holds, point, ...beside(site, face, reach)];
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
  if (!partRow(site.rows, part.kind).holdsInWood || hole?.kind !== 'screw' || choice.place.on === 'face') return [];
  const target: Target = { quantity: 'holeDiameter', feature: hole.id };
  return [
    judged(site, { check: 'threadBites', needs: { targets: [[hole.diameter, target]], sizes: ['diameter'] }, minimum: state.settings.minBite }, () =>
      sum('bite', [1, known(site, 'diameter')], [-1, leaf('holeDiameter', sure(hole.diameter), target)]),
    ),
  ];
}

/** Thread in wood, wood under its point and beside it. */
export const SCREW_IN_WOOD = [
  ...rowsOf(['hardware'], ofHardware(screwInWood), { screwHolds: MM, screwPoint: { unit: 'mm', about: ['restsTwice'] }, screwBeside: MM }),
  ...rowsOf(['hardware'], ofHardware(threadBites), { threadBites: MM }),
];
