import { unplacedWorks, type Choice, type PlanState } from '../check/index.js';
import { cuttingFor, type CuttingPlan } from '../cut/index.js';
import type { Placed, Work } from '../operation/index.js';
import { needKey, type Need } from './need.js';
import { usualMinutes, type Planned, type WorkRows } from './plan-row.js';

/** A piece of work with what it asks for. */
export interface PlannedWork extends Omit<Work, keyof Placed>, Omit<Planned, 'does'> {}

/**
 * The work of a choice as it would be done with this shop's tools; what there is nothing to do of is left out.
 * `cutting` is the plan of its route, null where it has none. Throws RangeError when its place is not there.
 */
export function plannedWork(
  rows: WorkRows,
  state: PlanState,
  choice: Choice,
  cutting: CuttingPlan | null = cuttingFor(rows, state, choice),
  today = NEVER,
): readonly PlannedWork[] {
  return unplacedWorks(rows, choice, state).flatMap((work): readonly PlannedWork[] => {
    const row = rows.plans[work.kind];
    const planned = row ? row.plan(work, { rows, state, choice, cutting, today }) : { needs: [], minutes: usualMinutes(rows, work.kind, state) };
    return planned ? [{ ...work, ...planned }] : [];
  });
}

/** Nothing is dull on this day: whoever does not ask about edges need not know the date. */
const NEVER = new Date(0);

/** What the work of a choice asks of tools and drawers, each once. */
export function atHand(rows: WorkRows, state: PlanState, choice: Choice, cutting: CuttingPlan | null, today: Date): readonly Need[] {
  const all = plannedWork(rows, state, choice, cutting, today).flatMap((w) => w.needs);
  return [...new Map(all.map((n) => [needKey(n), n])).values()];
}

/** Working minutes of all work of a choice. */
export function minutesOf(rows: WorkRows, state: PlanState, choice: Choice, cutting: CuttingPlan | null): number {
  return plannedWork(rows, state, choice, cutting).reduce((sum, w) => sum + w.minutes, 0);
}
