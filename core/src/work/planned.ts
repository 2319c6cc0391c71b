import { worksOf, type Choice, type PlanState } from '../check/index.js';
import { cuttingFor, type CuttingPlan } from '../cut/index.js';
import type { Work } from '../operation/index.js';
import { needKey, type Need } from './need.js';
import { usualMinutes, type Planned } from './plan-row.js';
import { PLANS } from './plans/index.js';

/** A piece of work with what it asks for. */
export interface PlannedWork extends Work, Omit<Planned, 'does'> {}

const rows = new Map(PLANS.map((p) => [p.kind, p.plan]));

/**
 * The work of a choice as it would be done with this shop's tools; what there is nothing to do of is left out.
 * `cutting` is the plan of its route, null where it has none. Throws RangeError when its place is not there.
 */
export function plannedWork(
  state: PlanState,
  choice: Choice,
  cutting: CuttingPlan | null = cuttingFor(state, choice, state.tools),
  today = NEVER,
): readonly PlannedWork[] {
  return worksOf(choice, state).flatMap((work): readonly PlannedWork[] => {
    const row = rows.get(work.kind);
    const planned = row ? row(work, { state, choice, cutting, today }) : { needs: [], minutes: usualMinutes(work.kind, state) };
    return planned ? [{ ...work, ...planned }] : [];
  });
}

/** Nothing is dull on this day: whoever does not ask about edges need not know the date. */
const NEVER = new Date(0);

/** What the work of a choice asks of tools and drawers, each once. */
export function atHand(state: PlanState, choice: Choice, cutting: CuttingPlan | null, today: Date): readonly Need[] {
  const all = plannedWork(state, choice, cutting, today).flatMap((w) => w.needs);
  return [...new Map(all.map((n) => [needKey(n), n])).values()];
}

/** Working minutes of all work of a choice. */
export function minutesOf(state: PlanState, choice: Choice, cutting: CuttingPlan | null): number {
  return plannedWork(state, choice, cutting).reduce((sum, w) => sum + w.minutes, 0);
}
