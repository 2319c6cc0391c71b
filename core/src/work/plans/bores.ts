import { PLANNED_SET, type Choice } from '../../check/index.js';
import type { BoringPlan } from '../../cut/index.js';
import type { Cavity, Level } from '../../instrument/index.js';
import type { Settings } from '../../operation/index.js';
import { circle } from '../../shape/index.js';

const boreOf = (choice: Choice): string => `bore ${choice.id} `;

/** What bulk boring leaves in the wood until the route is cut: each hole as deep as the spur's tip goes. Rim 15.5 and spur 2.5: 18.0 [law]. */
export function boresOf(choice: Choice, { bit, holes }: BoringPlan, tip: number, settings: Settings): readonly Level[] {
  return holes.map((at, i) => ({
    id: `${boreOf(choice)}${i + 1}`,
    set: PLANNED_SET,
    outline: { outline: circle(bit.diameter, at), limit: settings.limitTemplate, basis: { kind: 'planned' }, across: null, along: null },
    depth: { value: tip, limit: settings.limitPlannedDepth, basis: { kind: 'planned' } },
    bored: true,
  }));
}

/** The bores of a choice that are in a cavity: the passes take them up. */
export function boresIn(choice: Choice, cavity: Cavity): readonly string[] {
  return cavity.levels.filter((p) => p.id.startsWith(boreOf(choice))).map((p) => p.id);
}
