import { constant } from '../measure/index.js';
import { planned, priceOf, toBuy, trouble, type HardwareGround } from './hardware-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.25, 'memory', 'Risk of a remedy');
/** Depths go up to the next half millimetre. */
const STEP = 0.5;

/** A hole that is too short for what goes in, or in the side for a jack with its plug in, is bored deeper. A bore of 28 for 31 of plug, 1 wanted: to 32.5. */
export function deepenBore(g: HardwareGround): readonly Proposal[] {
  const { site, state, choice } = g;
  const hole = site?.hole;
  const onFace = hole?.face === 'top' || hole?.face === 'back';
  const short = trouble(g, 'depthOfHole') ?? (onFace ? null : trouble(g, 'plugInside'));
  if (!hole?.depth || !short) return [];
  const limit = state.settings.limitPlannedDepth;
  const to = Math.ceil((hole.depth.value - (short.clearance ?? 0) + short.minimum + (short.worst ?? 0) + limit) / STEP - 1e-9) * STEP;
  return [
    {
      id: `deepenBore/${choice.part ?? ''}`,
      kind: 'deepenBore',
      sets: { work: [{ kind: 'deepenBore', does: [{ kind: 'deepenHole', hole: hole.id, depth: planned(to, limit) }] }] },
      risk: RISK.value,
      price: priceOf(state, choice.part),
      lacks: toBuy(state, choice.part),
      by: to,
    },
  ];
}
