import type { Hole } from '../instrument/index.js';
import { constant, type Dimension } from '../measure/index.js';
import type { Settings } from '../operation/index.js';
import { planned, priceOf, toBuy, trouble, type HardwareGround } from './hardware-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.1, 'memory', 'Risk of a remedy');
/** A film's thickness is known to a third of it [memory]. */
const FILM_SURE = 1 / 3;

/** Finish in a hole is reamed out down to the wood, no further: nothing of the wood goes. Where nobody read the wood, only of a tuner's hole, and no more than a film is thick. */
export function reamFilm(g: HardwareGround): readonly Proposal[] {
  const { site, state, choice } = g;
  const tight = trouble(g, 'bushingInHole') ?? trouble(g, 'pressSplits');
  if (!site?.hole || !tight || choice.place.on === 'face') return [];
  const to = woodOf(site.hole, state.settings);
  const gained = to && site.hole.diameter ? to.value - site.hole.diameter.value : 0;
  if (!to || gained <= 0 || gained + (tight.clearance ?? 0) < 0) return [];
  return [
    {
      id: `reamFilm/${choice.part ?? ''}`,
      kind: 'reamFilm',
      sets: { work: [{ kind: 'reamFilm', does: [{ kind: 'sizeHole', hole: site.hole.id, by: 'reamer', diameter: to }] }] },
      risk: RISK.value,
      price: priceOf(state, choice.part),
      lacks: toBuy(state, choice.part),
      by: to.value,
    },
  ];
}

/** How wide a hole is under its film; null where nobody can say. */
function woodOf({ diameter, bare, kind }: Hole, { filmThickness, limitDrill }: Settings): Dimension | null {
  if (bare) return planned(bare.value, Math.max(bare.limit, limitDrill));
  return diameter && kind === 'tuner' ? planned(diameter.value + 2 * filmThickness, diameter.limit + 2 * filmThickness * FILM_SURE) : null;
}
