import type { Change } from '../instrument/index.js';
import { constant } from '../measure/index.js';
import { planned } from './hardware-ground.js';
import { DEPTHS, depthIn, onlyDepth, priceOfPickup, short, troubles, verdictsWith, type PickupGround } from './pickup-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.3, 'memory', 'Risk of a remedy');
/** Depths go up to the next half millimetre. */
const STEP = 0.5;
/** A floor that is cut deeper may leave its neighbour the shallowest; after so many it is left as it is. */
const ROUNDS = 4;

type Deeper = Extract<Change, { readonly kind: 'setDepth' }>;

/**
 * A route whose outline will do and whose depth will not: its floors are cut deeper, nothing else.
 * Base to 16.5 in a route of 16.0 ± 0.1, 1.0 wanted: to 18.0.
 */
export function deepenForPickup(g: PickupGround): readonly Proposal[] {
  if (!onlyDepth(g.verdicts) || troubles(g.verdicts, ...DEPTHS).length === 0) return [];
  const found = new Map<string, number>();
  let work: readonly Deeper[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const shallow = troubles(round === 0 ? g.verdicts : verdictsWith(g, [{ kind: 'deepenRoute', does: work }]), ...DEPTHS);
    if (shallow.length === 0) break;
    for (const v of shallow) {
      const level = depthIn(v);
      if (level?.target.part === undefined) return [];
      const id = level.target.part;
      const to = Math.ceil((level.value + short(v)) / STEP - 1e-9) * STEP;
      if (!found.has(id)) found.set(id, level.value);
      const before = work.find((w) => w.level === id)?.depth.value ?? 0;
      const deeper: Deeper = {
        kind: 'setDepth',
        cavity: level.target.feature,
        level: id,
        depth: planned(Math.max(to, before), g.state.settings.limitPlannedDepth),
      };
      work = [...work.filter((w) => w.level !== id), deeper];
    }
  }
  return [
    {
      id: `deepen/${g.bare.part ?? ''}`,
      kind: 'deepen',
      sets: { work: [{ kind: 'deepenRoute', does: work }] },
      risk: RISK.value,
      price: priceOfPickup(g),
      lacks: [],
      by: Math.max(...work.map((w) => w.depth.value - (found.get(w.level) ?? 0))),
    },
  ];
}
