import { newHoleSteps, pilotDrill, pilotIn, type HoleSteps } from '../cut/index.js';
import { constant, type Dimension } from '../measure/index.js';
import { partRow, type Tool } from '../part/index.js';
import { planned, priceOf, toBuy, type HardwareGround } from './hardware-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.2, 'memory', 'Risk of a remedy');

/**
 * A new hole for a part that has no place yet: of the size that its bushing asks for [trade: bushing + 0.2], or the pilot of a screw, as deep as it is long. A strap pin of
 * 25 whose shank is 4.17: 2.8, 25 deep, in wood that is taken for hard.
 */
export function drillNew(g: HardwareGround): readonly Proposal[] {
  const { state, choice } = g;
  const wanted = choice.place.on === 'face' ? holeFor(g) : null;
  if (!wanted) return [];
  const { steps, depth } = wanted;
  const work = [
    { kind: 'sizeHole' as const, hole: choice.id, by: 'drill' as const, diameter: planned(steps.final, state.settings.limitDrill) },
    ...(depth ? [{ kind: 'deepenHole' as const, hole: choice.id, depth: planned(depth.value, state.settings.limitPlannedDepth) }] : []),
  ];
  return [
    {
      id: `drillNew/${choice.part ?? ''}`,
      kind: 'drillNew',
      sets: { work: [{ kind: 'drillHole', does: work }] },
      risk: RISK.value,
      price: priceOf(state, choice.part),
      lacks: [...toBuy(state, choice.part), ...steps.lacks],
      steps,
      by: steps.final,
    },
  ];
}

/** The drills of the hole that a part asks for, and how deep it is where it goes not through; null where the part does not say. */
function holeFor({ site, state, rows }: HardwareGround): { readonly steps: HoleSteps; readonly depth: Dimension | null } | null {
  if (!site) return null;
  const { bushing, outer, diameter, length } = site.part.sizes;
  const through = bushing ?? outer;
  if (through) return { steps: newHoleSteps(through.value + state.settings.minHoleOver + through.limit, state.tools), depth: null };
  if (partRow(rows, site.part.kind).holdsInWood === undefined || !diameter) return null;
  return { steps: pilotSteps(pilotIn(diameter.value, 'hardwood'), state.tools), depth: length ?? null };
}

/** One drill, near enough: too large a pilot holds nothing. */
function pilotSteps(target: number, tools: readonly Tool[]): HoleSteps {
  const drill = pilotDrill(target, tools);
  const none = { reamer: null, countersink: false };
  return drill
    ? { ...none, drills: [drill], final: drill.diameter, lacks: [] }
    : { ...none, drills: [], final: target, lacks: [{ kind: 'drill', diameter: target }] };
}
