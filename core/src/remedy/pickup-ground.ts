import { evaluateIn, withChoice, type CheckRows, type PickupChoice, type Plan, type PlanState, type Verdict } from '../check/index.js';
import { leavesOf } from '../measure/index.js';
import { pickupIn } from '../part/index.js';
import type { Target } from '../quantity/index.js';

/** What a remedy for a pickup is made from: its choice as it is planned and with nothing done for it, and what is then wrong. */
export interface PickupGround {
  readonly rows: CheckRows;
  readonly state: PlanState;
  readonly plan: Plan;
  readonly choice: PickupChoice;
  readonly bare: PickupChoice;
  /** Of the bare choice. */
  readonly verdicts: readonly Verdict[];
}

/** The verdicts of some checks that do not clear well and have a number. */
export function troubles(verdicts: readonly Verdict[], ...checks: readonly Verdict['check'][]): readonly Verdict[] {
  return verdicts.filter((v) => checks.includes(v.check) && v.clearance !== null && v.class !== 'well');
}

/** Does the part clear, thinly at least, all round where a remedy of its depth could do nothing for it? */
export function onlyDepth(verdicts: readonly Verdict[]): boolean {
  return !troubles(verdicts, 'partInRoute', 'smallestCorner', 'screwInRoute', 'windowGap').some((v) => v.class !== 'thin');
}

/** The checks that ask whether a pickup has depth enough. */
export const DEPTHS = ['depthUnderPart', 'depthUnderScrews', 'travel'] as const;

/** What is missing until a verdict is well, even at worst, mm. */
export function short(v: Verdict): number {
  return v.minimum - (v.clearance ?? 0) + (v.worst ?? 0);
}

/** The level's depth in a verdict's sum. */
export function depthIn(v: Verdict): { readonly target: Target; readonly value: number } | null {
  const leaf = v.working ? leavesOf(v.working).find((l) => l.ref?.quantity === 'levelDepth') : undefined;
  return leaf?.ref ? { target: leaf.ref as Target, value: leaf.value } : null;
}

/** The verdicts on the choice with some work done, in the whole plan. */
export function verdictsWith(g: PickupGround, work: PickupChoice['work']): readonly Verdict[] {
  const choice = work ? { ...g.bare, work: [...(g.bare.work ?? []), ...work] } : g.bare;
  return evaluateIn(g.rows, g.state, withChoice(g.plan, choice), choice).verdicts;
}

/** What the chosen pickup costs, in the smallest coin. */
export function priceOfPickup({ state, bare }: PickupGround): number {
  return pickupIn(state.parts, bare.part)?.price ?? 0;
}
