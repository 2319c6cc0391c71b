import { toBody, type Cavity } from '../instrument/index.js';
import { leaf, sum, type Working } from '../measure/index.js';
import { partRow } from '../part/index.js';
import type { Target } from '../quantity/index.js';
import { circle, containsPoint, gapApart } from '../shape/index.js';
import { levelsLeaf, regionOf } from './place.js';
import { verdict, type Verdict } from './verdict.js';
import { depthAt, judged, known, placeLeaf, type PartSite, sure } from './site.js';
import { ofHardware } from './of-choice.js';
import { MM, rowsOf } from './row.js';

/**
 * A wood screw through what it holds: does enough of it reach the wood, does its point stay in, and is there wood at all?
 * 13 long through a plate of 2 holds by 11; in 15 of wood 4 are left under its point [law]. Wanted 8 in wood for light hardware, 20 for a strap pin, 3 under the point [trade].
 */
function screwInWood(site: PartSite): readonly Verdict[] {
  const { part, choice, plate, state, at, hole } = site;
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
  const thick: Target = { quantity: 'bodyThickness', feature: 'body' };
  const below = anatomy.cavities.find((c) => c.face !== face && c.levels.some((p) => containsPoint(toBody(anatomy, c.frame, p.outline.outline), at)));
  const under = below ? depthAt(anatomy, below, at) : null;
  const body = anatomy.body.thickness;
  const needs = [...targets, [body, thick] as const, ...(under ? [[under.depth, under.target] as const] : [])];
  const point = judged(site, { check: 'screwPoint', needs: { targets: needs, sizes: ['length'] }, minimum: settings.minUnderPoint }, () => {
    const wood = sum(
      'woodHere',
      [1, leaf('bodyThickness', sure(body), thick)],
      ...(under ? [[-1, leaf('depthBelow', sure(under.depth), under.target)] as const] : []),
    );
    return sum('underPoint', [1, wood], [-1, held()]);
  });
  return [holds, point, ...beside(site, face)];
}

/** The cavity of the screw's own face that it would land in. */
function cavityAt({ state: { anatomy }, at }: PartSite, face: 'top' | 'back'): Cavity | null {
  return anatomy.cavities.find((c) => c.face === face && c.levels.some((p) => containsPoint(toBody(anatomy, c.frame, p.outline.outline), at))) ?? null;
}

/** It lands in a cavity: by how far it would have to move to reach wood. */
function inAir(site: PartSite, cavity: Cavity): Verdict {
  return besideOf(site, cavity);
}

/** The wood between a screw and the nearest cavity of its face. */
function beside(site: PartSite, face: 'top' | 'back'): readonly Verdict[] {
  const all = site.state.anatomy.cavities.filter((c) => c.face === face && c.levels.length > 0).map((c) => besideOf(site, c));
  const nearest = all.reduce<Verdict | null>((n, v) => (n && (n.clearance ?? 0) <= (v.clearance ?? 0) ? n : v), null);
  return nearest ? [nearest] : [];
}

function besideOf(site: PartSite, cavity: Cavity): Verdict {
  const { state, part, at, choice } = site;
  const shank = part.sizes.diameter?.value ?? 3;
  const screw = [circle(shank, at)];
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
