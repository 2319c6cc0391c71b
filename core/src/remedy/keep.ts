import type { Plan, PlanState } from '../check/index.js';
import type { Proposal } from './proposal.js';

/** Keep what is there: the baseline, never ranked. */
export function keep(state: PlanState, plan: Plan): readonly Proposal[] {
  const position = state.anatomy.positions.find((p) => p.id === plan.position);
  const plate = state.anatomy.plates.find((p) => p.id === position?.plate);
  const insertFitted = plate?.openings.find((o) => o.id === position?.opening)?.insert?.fitted ?? false;
  return [{ id: 'keep', kind: 'keep', plan: { ...plan, part: position?.part ?? null, insertFitted, route: null }, operations: [], risk: 0, price: 0 }];
}
