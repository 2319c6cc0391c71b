import { constant } from '../measure/index.js';
import { pickupIn } from '../part/index.js';
import { onlyDepth, priceOfPickup, short, troubles, type PickupGround } from './pickup-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.15, 'memory', 'Risk of a remedy');
/** How sure a bend is, mm [memory]; it goes by half millimetres. */
const SURE = 0.3;
const STEP = 0.5;

/** Ears that reach too deep are bent up, as far as the base plate at the most: metal that was bent tells, and it is not returned then. */
export function bendEars(g: PickupGround): readonly Proposal[] {
  const part = pickupIn(g.state.parts, g.bare.part);
  const deep = troubles(g.verdicts, 'depthUnderPart').find((v) => v.subject.item === 'ears');
  const [ears, base] = (['ears', 'base'] as const).map((id) => part?.tiers.find((t) => t.id === id));
  if (!part || !deep || !ears || !base || !onlyDepth(g.verdicts)) return [];
  const by = Math.ceil((short(deep) + SURE) / STEP - 1e-9) * STEP;
  if (by > ears.lowest.value - base.lowest.value) return [];
  const trimmed = { ears: 0, screws: 0, bent: by };
  return [
    {
      id: `bendEars/${part.id}`,
      kind: 'bendEars',
      sets: { work: [{ kind: 'trimPart', does: [{ kind: 'trimPickup', position: g.bare.position, trimmed }] }] },
      risk: RISK.value,
      price: priceOfPickup(g),
      lacks: [],
      trimmed,
      by,
    },
  ];
}
