import { leaf, setting, sum, type Working } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import type { Verdict } from './verdict.js';
import { judged, sizeLeaf, widest, type PartSite } from './site.js';
import { ofHardware } from './of-choice.js';
import { rowsOf } from './row.js';

/** Does washer, knob or flange hide the hole, all round? (14.2 − 9.8) / 2 = 2.2 [law]. */
function hidesHole(site: PartSite): readonly Verdict[] {
  const { hole, part, state } = site;
  if (!hole?.diameter) return [];
  const cover = widest(part, ['washer', 'knob', 'flange']);
  const { diameter } = hole;
  if (!cover) return [];
  const target: Target = { quantity: 'holeDiameter', feature: hole.id };
  const over = sum('coverOver', [1, sizeLeaf(part, cover.size, cover.is)], [-1, leaf('holeDiameter', diameter, target)]);
  const working: Working = { op: 'quotient', label: 'hiddenRound', a: over, b: setting('two', 2, 'two') };
  return [judged(site, { check: 'hidesHole', item: cover.size, needs: {}, minimum: state.settings.minHides }, () => working)];
}

/** A washer or knob over its hole. */
export const HIDES_HOLE = rowsOf(['hardware'], ofHardware(hidesHole), {
  hidesHole: { unit: 'mm', about: ['appearance', 'rim'] },
});
