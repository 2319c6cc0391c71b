import { constant } from '../measure/index.js';
import { type HardwareGround } from './hardware-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.15, 'memory', 'Risk of a remedy');

/** A hole of unknown width is thought to want a dowel of this, mm [memory]. */
const UNKNOWN = 6;

/** A hole that nothing goes into any more is closed with a dowel finished to match, or with a decorative insert. */
export function plugHole(g: HardwareGround): readonly Proposal[] {
  const { choice, state } = g;
  if (choice.part !== null || choice.place.on !== 'feature' || choice.place.screw !== undefined) return [];
  const { feature } = choice.place;
  const hole = state.anatomy.holes.find((h) => h.id === feature && h.condition !== 'plugged');
  if (!hole) return [];
  const dowel = state.stock.some((s) => s.kind === 'dowel' && s.quantity > 0 && s.diameter >= (hole.diameter?.value ?? 0));
  return [
    {
      id: 'plugHole',
      kind: 'plugHole',
      excludes: 'all',
      sets: { work: [{ kind: 'plugHole', does: [{ kind: 'closeHole', hole: hole.id }] }] },
      risk: RISK.value,
      price: 0,
      lacks: dowel ? [] : [{ kind: 'dowel', atLeast: hole.diameter?.value ?? UNKNOWN }],
      wait: state.settings.waitForGlue,
    },
  ];
}
