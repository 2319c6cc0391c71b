import { actsOfChoice, type CutKind, type HardwareChoice } from '../check/index.js';
import { newHoleSteps } from '../cut/index.js';
import { constant } from '../measure/index.js';
import { actsOf } from '../operation/index.js';
import type { Tool } from '../part/index.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.3, 'memory', 'Risk of a remedy');

/** A cut by itself: as it was planned, or not at all. */
export function cutAsPlanned(choice: HardwareChoice & { readonly cut: CutKind }, tools: readonly Tool[]): readonly Proposal[] {
  const { cut } = choice;
  const [first] = actsOf(actsOfChoice(choice), 'addHole');
  const steps = first?.hole.diameter ? newHoleSteps(first.hole.diameter.value, tools) : null;
  return [
    {
      id: `cutAsPlanned/${cut}`,
      kind: 'cutAsPlanned',
      choice,
      risk: RISK.value,
      price: 0,
      lacks: steps?.lacks ?? [],
      ...(steps ? { steps } : {}),
    },
    { id: 'keep', kind: 'keep', choice: { ...choice, work: [] }, risk: 0, price: 0, lacks: [] },
  ];
}
