import type { CheckRows, Choice, PlanState } from '../check/index.js';
import type { CuttingPlan } from '../cut/index.js';
import { operationRow, type Act, type OperationKind, type Placed, type Work } from '../operation/index.js';
import type { Move } from '../part/index.js';
import type { Need } from './need.js';

/** What is registered of how work is planned. */
export interface WorkRows extends CheckRows {
  readonly plans: Readonly<Record<OperationKind, PlanRow>>;
}

/** What a piece of work is planned on. */
export interface PlanGround {
  readonly rows: WorkRows;
  readonly state: PlanState;
  readonly choice: Choice;
  /** Of its route; null where nothing is routed. */
  readonly cutting: CuttingPlan | null;
  readonly today: Date;
}

/** How long something cures or dries: until it may be touched, worked, or is hard. */
export interface Wait {
  readonly until: 'touch' | 'work' | 'cure';
  readonly minutes: number;
}

/** What a piece of work asks for, and what it does where only its plan can say. */
export interface Planned {
  readonly needs: readonly Need[];
  /** Working time, min. */
  readonly minutes: number;
  readonly does?: readonly Act[];
  /** What it takes from the drawers or brings back, once the step that does it is logged. */
  readonly moves?: readonly Move[];
  /** What cures after it before work goes on there. */
  readonly waitAfter?: Wait;
}

/** How work of a kind is planned; null: there is nothing to do, and no operation is made. */
export interface PlanRow {
  readonly kind: OperationKind;
  readonly plan: (work: Omit<Work, keyof Placed>, ground: PlanGround) => Planned | null;
}

/** Working minutes of a kind, by the shop's numbers. */
export function usualMinutes(rows: WorkRows, kind: OperationKind, { settings }: PlanState): number {
  return operationRow(rows, kind).minutes.reduce((sum, key) => sum + settings[key], 0);
}

/** A kind that asks for things and takes its usual time. */
export function planRow(kind: OperationKind, needs: (work: Omit<Work, keyof Placed>, ground: PlanGround) => readonly Need[]): PlanRow {
  return { kind, plan: (work, ground) => ({ needs: needs(work, ground), minutes: usualMinutes(ground.rows, kind, ground.state) }) };
}
