import {
  choiceRow,
  siteOf,
  type CheckRows,
  type Evaluation,
  type HardwareChoice,
  type Plan,
  type PlanState,
  type PartSite,
  type Verdict,
} from '../check/index.js';
import type { Dimension } from '../measure/index.js';
import { freeOf, type Lack } from '../part/index.js';

/** What a remedy for a part that is no pickup is made from: the place, what is found there, and what is wrong. */
export interface HardwareGround {
  readonly rows: CheckRows;
  readonly state: PlanState;
  readonly plan: Plan;
  readonly choice: HardwareChoice;
  /** Null when no part is chosen. */
  readonly site: PartSite | null;
  /** The part that is there now. */
  readonly found: string | null;
  readonly verdicts: readonly Verdict[];
}

/** Gathers it for a choice with nothing done for it yet, from what was said of that in the whole plan. */
export function hardwareGround(
  { rows, state, plan }: Pick<HardwareGround, 'rows' | 'state' | 'plan'>,
  bare: HardwareChoice,
  evaluation: Evaluation,
): HardwareGround {
  return {
    rows,
    state,
    plan,
    choice: bare,
    site: siteOf(rows, { ...state, anatomy: evaluation.anatomy }, plan, bare),
    found: choiceRow(rows, bare).found(state.anatomy, bare),
    verdicts: evaluation.verdicts.filter((v) => v.choice === bare.id),
  };
}

/** The verdict of a check that keeps a part from clearing well; null where it clears or was not asked. */
export function trouble(g: HardwareGround, check: Verdict['check'], item?: string): Verdict | null {
  return g.verdicts.find((v) => v.check === check && (item === undefined || v.subject.item === item) && v.clearance !== null && v.class !== 'well') ?? null;
}

/** What a part costs: nothing while one lies in a drawer. */
export function priceOf(state: PlanState, part: string | null): number {
  return part === null || freeOf(state.stock, part) > 0 ? 0 : (state.parts[part]?.price ?? 0);
}

/** The part is not there: it has to be bought. */
export function toBuy(state: PlanState, part: string | null): readonly Lack[] {
  return part === null || freeOf(state.stock, part) > 0 ? [] : [{ kind: 'part', part }];
}

/** A piece of wood for a block or a spacer, where none lies in a drawer. */
export function woodToBuy(state: PlanState): readonly Lack[] {
  return state.stock.some((s) => s.kind === 'offcut' && s.quantity > 0) ? [] : [{ kind: 'offcut' }];
}

/** A size that is planned, with the limit of a drill. */
export function planned(value: number, limit: number): Dimension {
  return { value, limit, basis: { kind: 'planned' } };
}
