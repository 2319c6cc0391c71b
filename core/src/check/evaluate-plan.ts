import { evaluate, type Evaluation } from './evaluate.js';
import type { PlanState } from './place.js';
import { isCut, planChanges, type Plan } from './plan.js';

/** Every verdict on an instrument as the plan would leave it; what of it is cut already stands in the anatomy and counts once. Throws RangeError when the plan's position is not there. */
export function evaluatePlan(state: PlanState, plan: Plan): Evaluation {
  const position = state.anatomy.positions.find((p) => p.id === plan.position);
  if (!position) throw new RangeError(`nothing here is called ${plan.position}`);
  const cavity = state.anatomy.cavities.find((c) => c.id === position.cavity);
  const changes = planChanges(plan, position, state.settings).map((c) =>
    c.kind === 'addPockets' && cavity ? { ...c, pockets: c.pockets.filter((p) => !isCut(cavity, p)) } : c,
  );
  return evaluate({ ...state, leadsWanted: plan.leadsWanted }, plan.position, changes);
}
