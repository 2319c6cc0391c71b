import { leaf, sum } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import type { Verdict } from './verdict.js';
import { judged, known, type PartSite, sure } from './site.js';
import { ofHardware } from './of-choice.js';
import { rowsOf } from './row.js';

/**
 * Does the part go through its hole? Physically hole − bushing; wanted 0.2 more, so that it goes in by hand [trade].
 * A 3/8 in bushing (9.525) in a hole of 8: −1.525, and −1.725 of what is wanted [law]. A new hole has no size yet: no verdict.
 */
function bushingInHole(site: PartSite): readonly Verdict[] {
  const { hole, part, choice, state } = site;
  if (!hole || !THROUGH.has(part.kind) || part.traits.fixing === 'press-in bushing') return [];
  if (choice.place.on === 'face' && !hole.diameter) return [];
  const target: Target = { quantity: 'holeDiameter', feature: hole.id };
  const { diameter } = hole;
  return [
    judged(site, { check: 'bushingInHole', needs: { targets: [[diameter, target]], sizes: ['bushing'] }, minimum: state.settings.minHoleOver }, () =>
      sum('roomRound', [1, leaf('holeDiameter', sure(diameter), target)], [-1, known(site, 'bushing')]),
    ),
  ];
}

const THROUGH: ReadonlySet<string> = new Set(['pot', 'push-pull pot', 'toggle switch', 'mini toggle', 'rotary switch', 'jack', 'end-pin jack', 'tuner']);

/** A bushing in its hole. */
export const BUSHING_IN_HOLE = rowsOf(['hardware'], ofHardware(bushingInHole), {
  bushingInHole: { unit: 'mm', about: ['restsTwice'] },
});
