import type { BestInRoute, Plan, PlanState } from '@rinnovo/core/check';
import type { Option, OwnerRequest } from '@rinnovo/core/remedy';

/** What takes long: the ways out of one choice, and where a pickup has most room. */
export type BatchQuestion =
  | { readonly kind: 'options'; readonly key: string; readonly plan: Plan; readonly choice: string | null; readonly request: OwnerRequest }
  | { readonly kind: 'best'; readonly key: string; readonly plan: Plan; readonly choice: string | null };

/** The state is sent once and kept under its key. */
export interface BatchState {
  readonly kind: 'state';
  readonly key: string;
  readonly state: PlanState;
}

export type BatchRequest = BatchState | BatchQuestion;

/** How far a long sum is, then its result. */
export type BatchAnswer =
  | { readonly kind: 'progress'; readonly done: number; readonly of: number }
  | { readonly kind: 'options'; readonly result: readonly Option[] }
  | { readonly kind: 'best'; readonly result: readonly BestInRoute[] }
  | { readonly kind: 'failed'; readonly message: string };

export function isBatchQuestion(request: { readonly kind: string }): request is BatchQuestion {
  return request.kind === 'options' || request.kind === 'best';
}
