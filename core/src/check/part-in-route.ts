import { leaf, type GeometryNode, type Leaf } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import { circle, type Region } from '../shape/index.js';
import type { PartOutline } from '../part/index.js';
import { cornerAt } from './corner.js';
import { laid, pocketsLeaf, type PlaceOfPart } from './place.js';
import { roomFor, type Room } from './room-for.js';
import { missingVerdict, verdict, type CheckId, type Verdict } from './verdict.js';
import { sum } from '../measure/index.js';

/**
 * Does each body of the part go into the wood: its outline at its depth against the route, and the depth under it?
 * Base 69.5 × 38.3 r 3 in 71.5 × 40.5 r 4.7625 has 0.75 at its corners [law].
 */
export function partInRoute(place: PlaceOfPart): readonly Verdict[] {
  const { part, position, state } = place;
  if (!part) return [];
  const s = state.settings;
  const levels = part.levels.flatMap((level) => {
    if (level.lowest.value <= 0) return [];
    const rooms = level.shapes.map((shape) => ({ shape, region: [laid(shape.outline, position)] as Region }));
    const tight = tightest(rooms.map(({ shape, region }) => ({ shape, region, room: roomFor(place, region) })));
    if (!tight) return [];
    const subject = { feature: position.id, item: level.id };
    const { room } = tight;
    const judged = verdict('partInRoute', subject, inside(place, tight.region, room, partLeaf(tight.shape, part.id)), s.wantedPartInRoute, room.gap.at);
    const corner = cornerAt(laid(tight.shape.outline, position), room.region, room.gap.at);
    const outline = corner ? { ...judged, corner } : judged;
    if (level.id === 'cover') return [outline];
    return [outline, depthVerdict(place, 'depthUnderPart', level.id, level.lowest, room, s.wantedDepth)];
  });
  const wells = part.screws.at.map((p) => {
    const region: Region = [laid(circle(part.screws.diameter, p), position)];
    return { shape: null, region, room: roomFor(place, region) };
  });
  const tight = tightest(wells);
  if (!tight) return levels;
  const subject = { feature: position.id, item: 'screws' };
  const screwLeaf = leaf('partOutline', { value: 0, limit: part.screws.lowest.limit, basis: part.screws.lowest.basis });
  return [
    ...levels,
    verdict('screwInRoute', subject, inside(place, tight.region, tight.room, screwLeaf), s.wantedPartInRoute, tight.room.gap.at),
    depthVerdict(place, 'depthUnderScrews', 'screws', part.screws.lowest, tight.room, s.wantedDepth),
  ];
}

/** The one whose floor is shallowest, then whose room is least. */
function tightest<T extends { readonly room: Room }>(all: readonly T[]): T | null {
  return all.reduce<T | null>((w, x) => {
    if (!w) return x;
    const [a, b] = [x.room.floor.depth?.value ?? -1, w.room.floor.depth?.value ?? -1];
    return a < b || (a === b && x.room.gap.clearance < w.room.gap.clearance) ? x : w;
  }, null);
}

function inside(place: PlaceOfPart, region: Region, room: Room, ofPart: Leaf): GeometryNode {
  return {
    op: 'geometry',
    label: 'roomInside',
    measure: 'inside',
    a: region,
    b: room.region,
    value: room.gap.clearance,
    allowances: [ofPart, pocketsLeaf(place.cavity, room.pockets)],
  };
}

function partLeaf(shape: PartOutline, part: string): Leaf {
  return leaf('partOutline', { value: 0, limit: shape.limit, basis: shape.basis }, { quantity: 'partOutline', feature: part });
}

function depthVerdict(
  place: PlaceOfPart,
  check: CheckId,
  item: string,
  lowest: { value: number; limit: number; basis: PartOutline['basis'] },
  room: Room,
  wanted: number,
): Verdict {
  const subject = { feature: place.position.id, item };
  const target: Target = { quantity: 'pocketDepth', feature: place.cavity.id, part: room.floor.id };
  if (!room.floor.depth) return missingVerdict(check, subject, [target], wanted, room.gap.at);
  const working = sum('depthLeft', [1, leaf('pocketDepth', room.floor.depth, target)], [-1, leaf('partLowest', lowest)]);
  return verdict(check, subject, working, wanted, room.gap.at);
}
