import { actsOfChoice, type CutChoice, type PlanState } from '../../check/index.js';
import { newHoleSteps } from '../../cut/index.js';
import { constant } from '../../measure/index.js';
import { actsOf, takesFrom } from '../../operation/index.js';
import type { ChoiceWays } from '../choice-ways.js';
import type { Proposal } from '../proposal.js';
import { together } from '../together.js';

const RISK = constant(0.3, 'memory', 'Risk of a remedy');

/** A cut by itself: as it was planned, or not at all. What it took stays away. */
export const cut: ChoiceWays<CutChoice> = {
  kind: 'cut',
  proposals: ({ state }, choice) => asPlanned(state, choice),
  with: together,
  price: () => 0,
  owner: () => 1,
  wayBack: ({ rows }, { work }) => ({
    part: null,
    needsInsert: false,
    woodCut: takesFrom(rows, work, 'wood'),
    partCut: false,
    plateCut: false,
    verdicts: [],
    works: true,
  }),
  backFrom: (_, { kind, id, cut: made, place, count }) => ({ kind, id, cut: made, place, part: null, alternatives: [], count, work: [], returns: true }),
};

function asPlanned({ tools }: PlanState, choice: CutChoice): readonly Proposal<CutChoice>[] {
  const [first] = actsOf(actsOfChoice(choice), 'addHole');
  const steps = first?.hole.diameter ? newHoleSteps(first.hole.diameter.value, tools) : null;
  return [
    {
      id: `cutAsPlanned/${choice.cut}`,
      kind: 'cutAsPlanned',
      sets: { work: choice.work },
      excludes: 'all',
      risk: RISK.value,
      price: 0,
      lacks: steps?.lacks ?? [],
      ...(steps ? { steps } : {}),
    },
    { id: 'keep', kind: 'keep', sets: {}, excludes: 'all', risk: 0, price: 0, lacks: [] },
  ];
}
