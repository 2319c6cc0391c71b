import { constant } from '../measure/index.js';
import { pickupIn, type PickupKind } from '../part/index.js';
import { planned, woodToBuy } from './hardware-ground.js';
import { DEPTHS, onlyDepth, priceOfPickup, short, troubles, type PickupGround } from './pickup-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.05, 'memory', 'Risk of a remedy');
const PRICE = constant(300, 'memory', 'Prices to start with');
/** How sure a spacer is, mm [memory]. */
const SPACER_LIMIT = 0.1;
/** Spacers go up by half millimetres, and a pickup set higher than this stands in the strings [memory]. */
const STEP = 0.5;
const MOST = 4;

/** These are screwed down into the wood, with no ring to lift: a block goes under them. */
const SCREWED_DOWN: ReadonlySet<string> = new Set<PickupKind>(['soapbar', 'bass slim', 'bass split half', 'bass soapbar']);

/** A pickup that has not depth enough, or does not come near its strings, is set higher, on a spacer under its ring or a block: nothing is cut. */
export function raisePickup(g: PickupGround): readonly Proposal[] {
  const shallow = troubles(g.verdicts, ...DEPTHS, 'nearStrings');
  if (!onlyDepth(g.verdicts) || shallow.length === 0) return [];
  const by = Math.ceil((Math.max(...shallow.map(short)) + SPACER_LIMIT) / STEP - 1e-9) * STEP;
  if (by > MOST) return [];
  const kind = SCREWED_DOWN.has(pickupIn(g.state.parts, g.bare.part)?.kind ?? '') ? 'block' : 'spacer';
  return [
    {
      id: `${kind}/${g.bare.part ?? ''}`,
      kind,
      sets: { work: [{ kind: 'fitSpacer', does: [{ kind: 'raisePickup', position: g.bare.position, by: planned(by, SPACER_LIMIT) }] }] },
      risk: RISK.value,
      price: priceOfPickup(g) + PRICE.value,
      lacks: woodToBuy(g.state),
      by,
    },
  ];
}
