import { depthTerms } from './depth-here.js';
import { leaf, setting, sum, type Dimension } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import type { Verdict } from './verdict.js';
import { depthAt, judged, known, type PartSite, sure } from './site.js';
import { ofHardware } from './of-choice.js';
import { MM, rowsOf } from './row.js';
import { woodThrough } from './wood-through.js';

/**
 * Is the thread long enough for what it goes through, with washer and nut? 9.5 through 5.0 with 2.5 for both leaves 2.0 [law].
 * It goes through the plate it hangs from, or through the wood that a cavity of the other face leaves.
 */
function threadThrough(site: PartSite): readonly Verdict[] {
  const { part, room, state, hole, at } = site;
  if (!room || hole === null || !('threadLength' in part.sizes || part.sizes.bushing)) return [];
  const { settings, anatomy } = state;
  const nut = setting('nutAndWasher', settings.nutAndWasher, 'nutAndWasher');
  if (room.from) {
    const target: Target = { quantity: 'plateThickness', feature: room.from.id };
    const thick = room.from.thickness;
    return [
      judged(site, { check: 'threadThrough', needs: { targets: [[thick, target]], sizes: ['threadLength'] }, minimum: settings.minThreadOver }, () =>
        sum('threadLeft', [1, known(site, 'threadLength')], [-1, leaf('plateThickness', sure(thick), target)], [-1, nut]),
      ),
    ];
  }
  const below = depthAt(anatomy, room.cavity, at);
  if (!below) return [];
  const targets: readonly (readonly [Dimension | null, Target])[] = [...woodThrough(anatomy).needs, [below.depth, below.target]];
  return [
    judged(site, { check: 'threadThrough', needs: { targets, sizes: ['threadLength'] }, minimum: settings.minThreadOver }, () => {
      const wood = sum('woodHere', ...woodThrough(anatomy).terms(), ...depthTerms(-1, 'depthBelow', below));
      return sum('threadLeft', [1, known(site, 'threadLength')], [-1, wood], [-1, nut]);
    }),
  ];
}

/** Thread enough through the wood. */
export const THREAD_THROUGH = rowsOf(['hardware'], ofHardware(threadThrough), {
  threadThrough: MM,
});
