import { depthOf, depthTerms } from './depth-here.js';
import { sum } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import { laid, partLeaf, raisedTerm, type PlaceOfPart } from './place.js';
import { roomFor } from './room-for.js';
import { missingVerdict, verdict, type Verdict } from './verdict.js';
import { ofPickup } from './of-choice.js';
import { MM, rowsOf } from './row.js';

/** Can the part be screwed down as far as it travels before it meets the floor? 18.0 deep, base at 16.5: 1.5, where 4 of travel are wanted: thin [law]. No verdict while nobody told its travel. */
function travel(place: PlaceOfPart): readonly Verdict[] {
  const { part, position, cavity } = place;
  const down = part?.sizes?.travelDown;
  const base = part?.tiers.find((l) => l.id === 'base');
  if (!down || !base) return [];
  const room = roomFor(
    place,
    base.shapes.map((s) => laid(s.outline, position)),
  );
  const subject = { feature: position.id, item: 'base' };
  const target: Target = { quantity: 'levelDepth', feature: cavity.id, part: room.floor.id };
  if (!room.floor.depth) return [missingVerdict('travel', subject, [target], down.value, room.gap.at)];
  const working = sum('depthLeft', ...depthTerms(1, 'levelDepth', depthOf(cavity, room.floor)), ...raisedTerm(place), [
    -1,
    partLeaf('partLowest', base.lowest, part.id),
  ]);
  return [verdict('travel', subject, working, down.value, room.gap.at)];
}

/** Height to travel. */
export const TRAVEL = rowsOf(['pickup'], ofPickup(travel), {
  travel: MM,
});
