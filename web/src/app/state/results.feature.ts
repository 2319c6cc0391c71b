import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import type { BestInRoute, Plan } from '@rinnovo/core/check';
import type { CuttingPlan } from '@rinnovo/core/cut';
import type { Bench } from '@rinnovo/core/gate';
import type { Option } from '@rinnovo/core/remedy';
import { planActions } from './plan.actions';
import type { Live, Rested } from '../../workers/live-messages';

/** A result with what it was computed from: the key of the state, and the plan. */
export interface Computed<T> {
  readonly key: string;
  readonly plan: Plan;
  /** The choice that was looked at. */
  readonly choice: string | null;
  readonly result: T;
}

export interface ResultsFeature {
  readonly live: Computed<Live> | null;
  /** The same with every working, once the plan rests. */
  readonly full: Computed<Rested> | null;
  readonly options: Computed<readonly Option[]> | null;
  /** How far the ways out are; 'stopped' by the user; null while nothing is worked out. */
  readonly optionsAt: { readonly done: number; readonly of: number } | 'stopped' | null;
  /** Where the part has most room, as far as its screws let it go. */
  readonly best: Computed<readonly BestInRoute[]> | null;
  readonly cutting: Computed<CuttingPlan | null> | null;
  readonly bench: Computed<Bench> | null;
  readonly failure: string | null;
}

export const resultActions = createActionGroup({
  source: 'results',
  events: {
    Evaluated: props<{ computed: Computed<Live> }>(),
    'Evaluated in full': props<{ computed: Computed<Rested> }>(),
    'Options worked out': props<{ computed: Computed<readonly Option[]> }>(),
    'Options went on': props<{ done: number; of: number }>(),
    'Options stopped': emptyProps(),
    'Options asked again': emptyProps(),
    'Best placed': props<{ computed: Computed<readonly BestInRoute[]> }>(),
    'Cutting planned': props<{ computed: Computed<CuttingPlan | null> }>(),
    'Bench laid out': props<{ computed: Computed<Bench> }>(),
    Failed: props<{ message: string }>(),
  },
});

const nothing: ResultsFeature = { live: null, full: null, options: null, optionsAt: null, best: null, cutting: null, bench: null, failure: null };

export const resultsFeature = createFeature({
  name: 'results',
  reducer: createReducer(
    nothing,
    on(planActions.left, (): ResultsFeature => nothing),
    on(resultActions.evaluated, (s, { computed }): ResultsFeature => ({ ...s, live: computed, failure: null })),
    on(resultActions.evaluatedInFull, (s, { computed }): ResultsFeature => ({ ...s, full: computed, failure: null })),
    on(resultActions.optionsWorkedOut, (s, { computed }): ResultsFeature => ({ ...s, options: computed, optionsAt: null, failure: null })),
    on(resultActions.optionsWentOn, (s, { done, of }): ResultsFeature => ({ ...s, optionsAt: { done, of } })),
    on(resultActions.optionsStopped, (s): ResultsFeature => ({ ...s, optionsAt: 'stopped' })),
    on(resultActions.optionsAskedAgain, (s): ResultsFeature => ({ ...s, optionsAt: null })),
    on(resultActions.bestPlaced, (s, { computed }): ResultsFeature => ({ ...s, best: computed, failure: null })),
    on(resultActions.cuttingPlanned, (s, { computed }): ResultsFeature => ({ ...s, cutting: computed, failure: null })),
    on(resultActions.benchLaidOut, (s, { computed }): ResultsFeature => ({ ...s, bench: computed, failure: null })),
    on(resultActions.failed, (s, { message }): ResultsFeature => ({ ...s, failure: message })),
  ),
});
