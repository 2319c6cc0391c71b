import { depthOf, depthTerms } from './depth-here.js';
import { leaf, type GeometryNode, type Leaf } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import { circle, gapInside, type Outline, type Region } from '../shape/index.js';
import type { PartOutline } from '../part/index.js';
import { tightestCorner, type CornerMet } from './corner.js';
import { laid, levelsLeaf, partLeaf, raisedTerm, type PlaceOfPart } from './place.js';
import { roomFor, type Room } from './room-for.js';
import { rowsOf, type CheckId } from './row.js';
import { missingVerdict, verdict, type Verdict } from './verdict.js';
import { sum } from '../measure/index.js';
import { ofPickup } from './of-choice.js';

/**
 * Does each body of the part go into the wood: its outline at its depth against the route, its corners apart, and the depth under it?
 * Base 69.5 × 38.3 r 3 in 71.5 × 40.5 r 4.7625 has 0.75 at its corners [law].
 */
function partInRoute(place: PlaceOfPart): readonly Verdict[] {
  const { part, position, state } = place;
  if (!part) return [];
  const s = state.settings;
  const laidIn = part.tiers.flatMap((tier) => {
    if (tier.lowest.value <= 0) return [];
    const tight = tightest(
      tier.shapes.map((shape) => {
        const outline = laid(shape.outline, position);
        const region: Region = [outline];
        return { shape, outline, region, room: roomFor(place, region) };
      }),
    );
    return tight ? [{ tier, ...tight }] : [];
  });
  const tiers = laidIn.flatMap(({ tier, shape, region, room }) => {
    const subject = { feature: position.id, item: tier.id };
    const outline = verdict('partInRoute', subject, inside(place, region, room, room.gap.clearance, edgeLeaf(shape, part.id)), s.minPartInRoute, room.gap.at);
    if (tier.id === 'cover') return [outline];
    return [outline, depthVerdict(place, { check: 'depthUnderPart', item: tier.id, lowest: tier.lowest, room, minimum: s.minDepth })];
  });
  tiers.push(...smallestCorner(place, part.id, laidIn));
  const wells = part.screws.at.map((p) => {
    const region: Region = [laid(circle(part.screws.diameter, p), position)];
    return { shape: null, region, room: roomFor(place, region) };
  });
  const tight = tightest(wells);
  if (!tight) return tiers;
  const subject = { feature: position.id, item: 'screws' };
  const screwLeaf = partLeaf('partOutline', { ...part.screws.lowest, value: 0 }, part.id);
  return [
    ...tiers,
    verdict('screwInRoute', subject, inside(place, tight.region, tight.room, tight.room.gap.clearance, screwLeaf), s.minPartInRoute, tight.room.gap.at),
    depthVerdict(place, { check: 'depthUnderScrews', item: 'screws', lowest: part.screws.lowest, room: tight.room, minimum: s.minDepth }),
  ];
}

interface LaidIn {
  readonly tier: { readonly id: string };
  readonly shape: PartOutline;
  readonly outline: Outline;
  readonly room: Room;
}

/** The corner of the part that has least room in a corner of the route, judged apart: a smaller cutter helps it where a wider route would not be wanted. */
function smallestCorner(place: PlaceOfPart, part: string, tiers: readonly LaidIn[]): readonly Verdict[] {
  const met = tiers
    .flatMap((l) => {
      const corner = tightestCorner(l.outline, l.room.region);
      return corner ? [{ ...l, ...corner }] : [];
    })
    .reduce<(LaidIn & CornerMet) | null>((w, x) => (w && w.clearance <= x.clearance ? w : x), null);
  if (!met) return [];
  const rounding: Region = [circle(Math.max(2 * met.part.radius, SHARP), met.part.centre)];
  const gap = gapInside(rounding, met.room.region);
  const working = inside(place, rounding, met.room, gap.clearance, edgeLeaf(met.shape, part));
  const judged = verdict('smallestCorner', { feature: place.position.id }, working, place.state.settings.minPartInRoute, gap.at);
  return [{ ...judged, corner: { ...met.corner, tier: met.tier.id } }];
}

/** A sharp corner is laid in as a rounding of this diameter, mm. */
const SHARP = 1e-4;

/** The one whose floor is shallowest, then whose room is least. */
function tightest<T extends { readonly room: Room }>(all: readonly T[]): T | null {
  return all.reduce<T | null>((w, x) => {
    if (!w) return x;
    const [a, b] = [x.room.floor.depth?.value ?? -1, w.room.floor.depth?.value ?? -1];
    return a < b || (a === b && x.room.gap.clearance < w.room.gap.clearance) ? x : w;
  }, null);
}

function inside(place: PlaceOfPart, region: Region, room: Room, value: number, ofPart: Leaf): GeometryNode {
  return {
    op: 'geometry',
    label: 'roomInside',
    measure: 'inside',
    a: region,
    b: room.region,
    value,
    allowances: [ofPart, levelsLeaf(place.cavity, room.levels)],
  };
}

function edgeLeaf(shape: PartOutline, part: string): Leaf {
  return leaf('partOutline', { value: 0, limit: shape.limit, basis: shape.basis }, { quantity: 'partOutline', feature: part });
}

interface Depth {
  readonly check: CheckId;
  readonly item: string;
  readonly lowest: { readonly value: number; readonly limit: number; readonly basis: PartOutline['basis'] };
  readonly room: Room;
  readonly minimum: number;
}

function depthVerdict(place: PlaceOfPart, { check, item, lowest, room, minimum }: Depth): Verdict {
  const subject = { feature: place.position.id, item };
  const target: Target = { quantity: 'levelDepth', feature: place.cavity.id, part: room.floor.id };
  if (!room.floor.depth) return missingVerdict(check, subject, [target], minimum, room.gap.at);
  const working = sum('depthLeft', ...depthTerms(1, 'levelDepth', depthOf(place.cavity, room.floor)), ...raisedTerm(place), [
    -1,
    partLeaf('partLowest', lowest, place.part?.id ?? ''),
  ]);
  return verdict(check, subject, working, minimum, room.gap.at);
}

/** A pickup’s bodies and screws inside the wood: its outline, its tightest corner, the depth under it. */
export const PART_IN_ROUTE = rowsOf(['pickup'], ofPickup(partInRoute), {
  partInRoute: { unit: 'mm', about: ['pickupFits', 'tried'] },
  smallestCorner: { unit: 'mm', about: ['pickupFits'] },
  screwInRoute: { unit: 'mm', about: ['pickupFits'] },
  depthUnderPart: { unit: 'mm', about: ['pickupFits'] },
  depthUnderScrews: { unit: 'mm', about: ['pickupFits'] },
});
