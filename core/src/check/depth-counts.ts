import { placementOf, toBody } from '../instrument/index.js';
import { leaf, setting, sum, type Leaf, type Working } from '../measure/index.js';
import { goesInto, partRow, type Hardware } from '../part/index.js';
import type { Target } from '../quantity/index.js';
import { circle, placePoint, regionsOverlap } from '../shape/index.js';
import { actsOfChoice } from './choice.js';
import { depthOf, depthTerms, type DepthHere } from './depth-here.js';
import { matesOf } from './mates.js';
import { ofHardware } from './of-choice.js';
import { MM, rowsOf } from './row.js';
import { stackOf } from './screw-stack.js';
import { judged, known, sizeLeaf, sure, type PartSite } from './site.js';
import type { Verdict } from './verdict.js';
import { woodThrough } from './wood-through.js';

/**
 * Does what is pressed or screwed into a blind hole find room to its whole length? A screw of 25 in a pilot of 15 lacks 10: it splits the wood or snaps [trade].
 * A hole that comes through is asked nothing, nor is a pilot whose depth nobody read: it is drilled anew.
 */
function depthOfHole(site: PartSite): readonly Verdict[] {
  const { part, hole, choice } = site;
  const { press, holdsInWood } = partRow(site.rows, part.kind);
  if (!hole || hole.through || choice.place.on === 'face' || !(press || holdsInWood) || !('length' in partRow(site.rows, part.kind).sizes)) return [];
  if (holdsInWood && (!hole.depth || stackOf(site, hole.face).neck)) return [];
  const target: Target = { quantity: 'holeDepth', feature: hole.id };
  return [
    judged(site, { check: 'depthOfHole', needs: { targets: [[hole.depth, target]], sizes: ['length'] }, minimum: 0 }, () =>
      sum('depthLeft', [1, leaf('holeDepth', sure(hole.depth), target)], [-1, known(site, 'length')]),
    ),
  ];
}

/** The wood left under a hole that the plan bores deeper, to the other face or to a cavity of it: 44 − 22 − 20 = 2 [law]. Wanted as under any cut. */
function woodUnderBore(site: PartSite): readonly Verdict[] {
  const { hole, choice, state } = site;
  const deeper = hole && !hole.through && actsOfChoice(choice).some((a) => a.kind === 'deepenHole' && a.hole === hole.id);
  if (!deeper || (hole.face !== 'top' && hole.face !== 'back')) return [];
  const { anatomy, settings } = state;
  const body = woodThrough(anatomy);
  const below = deepestUnder(site);
  const target: Target = { quantity: 'holeDepth', feature: hole.id };
  const targets = [...body.needs, [hole.depth, target] as const, ...(below ? [[below.depth, below.target] as const] : [])];
  return [
    judged(site, { check: 'woodUnderBore', needs: { targets }, minimum: settings.minFloor }, () =>
      sum('floorLeft', ...body.terms(), [-1, leaf('holeDepth', sure(hole.depth), target)], ...(below ? depthTerms(-1, 'depthBelow', below) : [])),
    ),
  ];
}

/** What of the other face reaches furthest up under a hole; one of unknown depth counts as the furthest. */
function deepestUnder({ hole, state: { anatomy } }: PartSite): DepthHere | null {
  if (!hole) return null;
  const edge = [circle(hole.diameter?.value ?? 0.1, placePoint(hole.at, placementOf(anatomy, hole.frame)))];
  const up = (d: DepthHere): number => d.depth?.value ?? Infinity;
  return anatomy.cavities
    .filter((c) => c.face !== hole.face)
    .flatMap((c) => c.levels.filter((p) => regionsOverlap(edge, [toBody(anatomy, c.frame, p.outline.outline)])).map((p) => depthOf(c, p)))
    .reduce<DepthHere | null>((w, d) => (w && up(w) >= up(d) ? w : d), null);
}

/**
 * A stud in its bush: how far its collar stands off when it is all the way in, and how much of its thread is in. It goes as deep as the bush is long, or as the bore
 * where that is deeper: of 60 in 25 it stands 35 off. Wanted 3 off at the most, and thread by its diameter [memory].
 */
function studInBush(site: PartSite): readonly Verdict[] {
  const { part, hole, state } = site;
  const bush = matesOf(site).find((m) => goesInto(site.rows, part.kind, m.kind));
  const long = bush?.sizes.length;
  if (!bush || !long || !hole) return [];
  const thread = sizeLeaf(bush, 'length', long);
  const { maxStudProud } = state.settings;
  const room = deeperThan(hole.depth, long.value) ? leaf('holeDepth', sure(hole.depth), { quantity: 'holeDepth', feature: hole.id }) : thread;
  const proud = (): Working => sum('collarProud', [1, known(site, 'length')], [-1, room]);
  const of = hole.through
    ? []
    : [
        judged(site, { check: 'collarProud', against: bush.id, needs: { sizes: ['length'] }, minimum: 0 }, () =>
          sum('proudLeft', [1, setting('maxStudProud', maxStudProud, 'maxStudProud')], [-1, proud()]),
        ),
      ];
  return [
    ...of,
    judged(site, { check: 'studEngages', against: bush.id, needs: { sizes: ['length', 'diameter'] }, minimum: 0 }, () =>
      sum('threadLeft', [1, shorter(site, bush, thread)], [-1, known(site, 'diameter')]),
    ),
  ];
}

function deeperThan(depth: { readonly value: number } | null, than: number): boolean {
  return depth !== null && depth.value > than;
}

/** Of a stud and its bush the shorter: no more thread can be in. */
function shorter(site: PartSite, bush: Hardware, thread: Leaf): Leaf {
  return (site.part.sizes.length?.value ?? Infinity) < (bush.sizes.length?.value ?? Infinity) ? known(site, 'length') : thread;
}

/** Room in a hole for the length of what goes in, and what is left below one that is bored deeper; a stud in its bush. */
export const DEPTH_COUNTS = [
  ...rowsOf(['hardware'], ofHardware(depthOfHole), { depthOfHole: MM }),
  ...rowsOf(['hardware'], ofHardware(woodUnderBore), { woodUnderBore: { unit: 'mm', about: ['restsTwice', 'structural'] } }),
  ...rowsOf(['hardware'], ofHardware(studInBush), { collarProud: MM, studEngages: MM }),
];
