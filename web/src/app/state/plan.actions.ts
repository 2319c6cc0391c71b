import type { PlanRecord } from '@rinnovo/core/job';
import { createActionGroup, emptyProps, props } from '@ngrx/store';
import type { Problem } from '@rinnovo/contract';
import type { Choice, Plan } from '@rinnovo/core/check';

export const planActions = createActionGroup({
  source: 'plan',
  events: {
    /** Another instrument is opened: nothing of the last one's plan is shown any more. */
    Left: emptyProps(),
    Load: props<{ job: string }>(),
    Loaded: props<{ record: PlanRecord; draft: Plan | null }>(),
    /** The job has no plan yet. */
    Missing: props<{ job: string }>(),
    Failed: props<{ job: string; problem: Problem }>(),
    /** The technician changed something; it is kept when the hand rests. */
    Edited: props<{ plan: Plan }>(),
    /** One choice of it was changed, or a new one made. */
    'Choice edited': props<{ choice: Choice }>(),
    /** Which choice is looked at. */
    'Look at': props<{ choice: string }>(),
    Saving: props<{ plan: Plan }>(),
    Saved: props<{ record: PlanRecord; sent: Plan }>(),
    'Save refused': props<{ problem: Problem }>(),
    /** Another hand changed the plan: both sides are shown. */
    Conflict: props<{ theirs: PlanRecord; mine: Plan }>(),
    'Take theirs': props<{ theirs: PlanRecord }>(),
    'Keep mine': props<{ theirs: PlanRecord; mine: Plan }>(),
  },
});
