import type { TemplateBit, Tool } from '../part/index.js';
import { smallestInsideRadius, type Outline } from '../shape/index.js';
import type { PlaceOfPart } from './place.js';
import { countVerdict, type Verdict } from './verdict.js';
import { ofPickup } from './of-choice.js';
import { YES_OR_NO, rowsOf } from './row.js';

/** A planned outline is what it says to this, mm: a corner of the cutter's own radius takes it. */
const SAME = 1e-3;

/** How many of the shop's template bits go into the smallest inside corner of a planned route. */
function cutterInCorner({ choice, position, state }: PlaceOfPart): readonly Verdict[] {
  const floors = choice.route?.levels.filter((p) => !p.bored) ?? [];
  return bitsFor(
    state.tools,
    position.id,
    floors.map((p) => p.outline),
  );
}

/**
 * How many of the shop's template bits go into the smallest inside corner of some outlines; one is needed. A shop without any is stated so where the cutting is planned.
 * A corner of 4.7625 takes a bit of 9.525 and none of 12.7 [law].
 */
export function bitsFor(tools: readonly Tool[], feature: string, outlines: readonly Outline[]): readonly Verdict[] {
  const bits = tools.filter((t): t is TemplateBit => t.kind === 'template');
  if (bits.length === 0 || outlines.length === 0) return [];
  const corner = Math.min(...outlines.map(smallestInsideRadius));
  return [countVerdict('cutterInCorner', { feature }, bits.filter((b) => b.diameter / 2 <= corner + SAME).length, 1)];
}

/** A template bit that is small enough for the smallest corner. */
export const CUTTER_IN_CORNER = rowsOf(['pickup'], ofPickup(cutterInCorner), {
  cutterInCorner: YES_OR_NO,
});
