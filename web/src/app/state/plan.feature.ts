import type { PlanRecord } from '@rinnovo/core/job';
import { createFeature, createReducer, on } from '@ngrx/store';
import type { Problem } from '@rinnovo/contract';
import { withChoice, type Plan } from '@rinnovo/core/check';
import { planActions } from './plan.actions';

export interface PlanFeature {
  readonly job: string | null;
  readonly status: 'idle' | 'loading' | 'ready' | 'missing' | 'failed';
  /** What the server has. */
  readonly record: PlanRecord | null;
  /** What is on the screen. */
  readonly draft: Plan | null;
  /** The choice that was last looked at. */
  readonly inView: string | null;
  readonly saving: 'saved' | 'waiting' | 'sending' | 'refused';
  readonly problem: Problem | null;
  readonly conflict: { readonly theirs: PlanRecord; readonly mine: Plan } | null;
}

const nothing: PlanFeature = { job: null, status: 'idle', record: null, draft: null, inView: null, saving: 'saved', problem: null, conflict: null };

export const planFeature = createFeature({
  name: 'plan',
  reducer: createReducer(
    nothing,
    on(planActions.left, (): PlanFeature => nothing),
    on(planActions.load, (s, { job }): PlanFeature => ({ ...(s.job === job ? s : nothing), job, status: 'loading', problem: null })),
    on(planActions.loaded, (s, { record, draft }): PlanFeature => ({
      ...s,
      job: record.job,
      status: 'ready',
      record,
      draft: draft ?? record.plan,
      saving: draft ? 'waiting' : 'saved',
      problem: null,
      conflict: null,
    })),
    on(planActions.missing, (_s, { job }): PlanFeature => ({ ...nothing, job, status: 'missing' })),
    on(planActions.failed, (s, { problem }): PlanFeature => ({ ...s, status: 'failed', problem })),
    on(planActions.edited, (s, { plan }): PlanFeature => ({ ...s, draft: plan, saving: 'waiting', problem: null })),
    on(planActions.choiceEdited, (s, { choice }): PlanFeature =>
      s.draft ? { ...s, draft: withChoice(s.draft, choice), inView: choice.id, saving: 'waiting', problem: null } : s,
    ),
    on(planActions.lookAt, (s, { choice }): PlanFeature => ({ ...s, inView: choice })),
    on(planActions.saving, (s): PlanFeature => ({ ...s, saving: 'sending' })),
    on(planActions.saved, (s, { record, sent }): PlanFeature => ({
      ...s,
      status: 'ready',
      record,
      saving: s.draft === sent || s.draft === null ? 'saved' : 'waiting',
      draft: s.draft ?? record.plan,
    })),
    on(planActions.saveRefused, (s, { problem }): PlanFeature => ({ ...s, saving: 'refused', problem })),
    on(planActions.conflict, (s, conflict): PlanFeature => ({ ...s, saving: 'refused', conflict })),
    on(planActions.takeTheirs, (s, { theirs }): PlanFeature => ({ ...s, record: theirs, draft: theirs.plan, saving: 'saved', conflict: null })),
    on(planActions.keepMine, (s, { theirs, mine }): PlanFeature => ({ ...s, record: theirs, draft: mine, saving: 'waiting', conflict: null })),
  ),
});
