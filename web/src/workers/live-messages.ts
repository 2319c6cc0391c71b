import type { Evaluation, Plan, PlanState, Verdict } from '@rinnovo/core/check';
import type { CuttingPlan, RouteFigures } from '@rinnovo/core/cut';
import type { Bench, BenchInput } from '@rinnovo/core/gate';

/** What the worker is asked; the state is sent once and kept under its key. */
export type LiveRequest =
  | { readonly seq: number; readonly kind: 'state'; readonly key: string; readonly state: PlanState }
  | { readonly seq: number; readonly kind: 'evaluate'; readonly key: string; readonly plan: Plan; readonly choice: string | null }
  | { readonly seq: number; readonly kind: 'full'; readonly key: string; readonly plan: Plan; readonly choice: string | null }
  | { readonly seq: number; readonly kind: 'cutting'; readonly key: string; readonly plan: Plan; readonly choice: string | null }
  | {
      readonly seq: number;
      readonly kind: 'bench';
      readonly key: string;
      readonly plan: Plan;
      readonly choice: string | null;
      readonly input: Omit<BenchInput, 'state'>;
    };

/** What a move needs at once: the verdicts without their workings, which are long to hand over. */
export interface Live {
  readonly verdicts: readonly Verdict[];
}

/** What follows when the hand rests: the same with the workings, and what the route takes away. */
export interface Rested extends Evaluation {
  readonly figures: RouteFigures | null;
}

/** What it answers, under the same sequence number, and how long it took, ms. */
export type LiveAnswer = Answer & { readonly took?: number };

export type Answer =
  | { readonly seq: number; readonly ok: true; readonly kind: 'evaluate'; readonly result: Live }
  | { readonly seq: number; readonly ok: true; readonly kind: 'full'; readonly result: Rested }
  | { readonly seq: number; readonly ok: true; readonly kind: 'cutting'; readonly result: CuttingPlan | null }
  | { readonly seq: number; readonly ok: true; readonly kind: 'bench'; readonly result: Bench }
  | { readonly seq: number; readonly ok: false; readonly message: string };
