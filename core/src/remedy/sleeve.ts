import { constant } from '../measure/index.js';
import { planned, priceOf, toBuy, type HardwareGround } from './hardware-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.1, 'memory', 'Risk of a remedy');
/** A sleeve costs about this, in the smallest coin, and is worth its while from this much play, mm [memory]. */
const PRICE = constant(250, 'memory', 'Prices to start with');
const PLAY = constant(0.8, 'memory', 'Parts in holes');

/** A sleeve or conversion bushing in a hole that is too wide for the part: nothing is cut, and it comes out again. */
export function sleeve(g: HardwareGround): readonly Proposal[] {
  const { site, state, choice } = g;
  const through = site?.part.sizes.bushing;
  const bore = site?.hole?.diameter;
  if (!site?.hole || !through || !bore || bore.value - through.value < PLAY.value) return [];
  const inner = through.value + state.settings.minHoleOver + 2 * through.limit;
  const work = [{ kind: 'sizeHole' as const, hole: site.hole.id, by: 'sleeve' as const, diameter: planned(inner, through.limit) }];
  return [
    {
      id: `sleeve/${choice.part ?? ''}`,
      kind: 'sleeve',
      sets: { work: [{ kind: 'fitSleeve', does: work }] },
      risk: RISK.value,
      price: priceOf(state, choice.part) + PRICE.value,
      lacks: [...toBuy(state, choice.part), { kind: 'sleeve', outer: bore.value, inner }],
      by: inner,
    },
  ];
}
