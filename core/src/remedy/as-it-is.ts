import { constant } from '../measure/index.js';
import { priceOf, toBuy, type HardwareGround } from './hardware-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.05, 'memory', 'Risk of a remedy');

/** The chosen part as the place is: the plain way where it goes in, and the one that is overridden with a reason where it does not quite. */
export function asItIs(g: HardwareGround): readonly Proposal[] {
  const { choice, state, found } = g;
  if (choice.part === found || choice.part === null || choice.place.on === 'face') return [];
  return [
    {
      id: `asItIs/${choice.part}`,
      kind: 'asItIs',
      sets: {},
      excludes: 'all',
      risk: RISK.value,
      price: priceOf(state, choice.part),
      lacks: toBuy(state, choice.part),
    },
  ];
}
