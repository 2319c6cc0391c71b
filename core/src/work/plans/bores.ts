import { boreOf, PLANNED_SET, type Choice } from '../../check/index.js';
import type { BoringPlan } from '../../cut/index.js';
import type { Level } from '../../instrument/index.js';
import type { Settings } from '../../operation/index.js';
import { circle } from '../../shape/index.js';

/** What bulk boring leaves in the wood until the route is cut: each hole as deep as the spur's tip goes. Rim 15.5 and spur 2.5: 18.0 [law]. */
export function boresOf(choice: Choice, { bit, holes }: BoringPlan, tip: number, settings: Settings): readonly Level[] {
  return holes.map((at, i) => ({
    id: `${boreOf(choice.id)}${i + 1}`,
    set: PLANNED_SET,
    outline: { outline: circle(bit.diameter, at), limit: settings.limitTemplate, basis: { kind: 'planned' }, across: null, along: null },
    depth: { value: tip, limit: settings.limitPlannedDepth, basis: { kind: 'planned' } },
    bored: true,
  }));
}
