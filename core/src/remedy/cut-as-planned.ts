import type { CutKind, HardwareChoice } from '../check/index.js';
import { newHoleSteps } from '../cut/index.js';
import { constant } from '../measure/index.js';
import type { OperationKind } from '../operation/index.js';
import type { Tool } from '../part/index.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.3, 'memory', 'Risk of a remedy');

const WORK: Readonly<Record<CutKind, OperationKind>> = {
  deepen: 'deepenRoute',
  channel: 'cutChannel',
  row: 'drillRow',
  relief: 'cutCavity',
  cavity: 'cutCavity',
};

/** A cut by itself: as it was planned, or not at all. */
export function cutAsPlanned(choice: HardwareChoice & { readonly cut: CutKind }, tools: readonly Tool[]): readonly Proposal[] {
  const { cut } = choice;
  const first = choice.work.find((w) => w.kind === 'addHole');
  const steps = first?.hole.diameter ? newHoleSteps(first.hole.diameter.value, tools) : null;
  return [
    {
      id: `cutAsPlanned/${cut}`,
      kind: 'cutAsPlanned',
      choice,
      operations: [WORK[cut]],
      risk: RISK.value,
      price: 0,
      lacks: steps?.lacks ?? [],
      ...(steps ? { steps } : {}),
    },
    { id: 'keep', kind: 'keep', choice: { ...choice, work: [] }, operations: [], risk: 0, price: 0, lacks: [] },
  ];
}
