import type { PlanRecord } from '@rinnovo/core/job';
import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store, type Action } from '@ngrx/store';
import type { Plan } from '@rinnovo/core/check';
import { upgradePlan } from '@rinnovo/core/upgrade';
import { catchError, concatMap, debounceTime, EMPTY, filter, from, map, merge, of, switchMap, withLatestFrom, type Observable } from 'rxjs';
import { Api } from '../api/api';
import { problemOf } from '../api/problem-of';
import { Drafts } from './drafts';
import { planActions } from './plan.actions';
import { planFeature, type PlanFeature } from './plan.feature';
import type { Revisions } from '@rinnovo/core/instrument';
import { work } from './resources';
import { selectRevisions } from './selectors';

/** A draft that an older version of this page left is read under today's names; null where it cannot be. */
function planIn(kept: unknown): Plan | null {
  try {
    return upgradePlan(kept);
  } catch {
    return null;
  }
}

/** How long the hand must rest before a change is kept, ms. */
const REST = 500;

export const loadPlan = createEffect(
  (actions = inject(Actions), api = inject(Api), drafts = inject(Drafts)) =>
    actions.pipe(
      ofType(planActions.load),
      switchMap(({ job }) =>
        api.get<PlanRecord>(`/jobs/${job}/plan`).pipe(
          switchMap(({ body }) =>
            from(drafts.of<unknown>(job)).pipe(map((d) => planActions.loaded({ record: body, draft: d?.version === body.version ? planIn(d.kept) : null }))),
          ),
          catchError((error: unknown) => {
            const problem = problemOf(error);
            return of(problem.status === 404 ? planActions.missing({ job }) : planActions.failed({ job, problem }));
          }),
        ),
      ),
    ),
  { functional: true },
);

export const keepDraft = createEffect(
  (actions = inject(Actions), store = inject(Store), drafts = inject(Drafts)) =>
    actions.pipe(
      ofType(planActions.edited, planActions.choiceEdited),
      debounceTime(100),
      withLatestFrom(store.select(planFeature.selectPlanState)),
      concatMap(([, s]) => (s.job === null || s.draft === null ? EMPTY : from(drafts.keep(s.job, { version: s.record?.version ?? 0, kept: s.draft })))),
    ),
  { functional: true, dispatch: false },
);

/** Sends the newest draft once the hand rests; one at a time, and again when it moved on meanwhile. */
export const savePlan = createEffect(
  (actions = inject(Actions), store = inject(Store), api = inject(Api), drafts = inject(Drafts)) => {
    const asked = merge(
      actions.pipe(ofType(planActions.edited, planActions.choiceEdited), debounceTime(REST)),
      actions.pipe(ofType(planActions.keepMine, planActions.loaded)),
    );
    const state = store.select(planFeature.selectPlanState);
    const revisions = store.select(selectRevisions);
    const send = ([, s, r]: readonly [null, PlanFeature, Revisions | null]): Observable<Action> => {
      if (s.saving !== 'waiting' || s.draft === null || s.job === null || r === null) return EMPTY;
      const { draft, job } = s;
      const body = { revisions: r, plan: draft };
      const sent = s.record ? api.change<PlanRecord>(`/jobs/${job}/plan`, s.record.version, body) : api.create<PlanRecord>(`/jobs/${job}/plan`, body);
      store.dispatch(planActions.saving({ plan: draft }));
      return sent.pipe(
        switchMap(({ body: record }) => from(drafts.drop(job)).pipe(map(() => planActions.saved({ record, sent: draft })))),
        catchError((error: unknown) => {
          const problem = problemOf(error);
          return of(
            problem.status === 412 ? planActions.conflict({ theirs: problem.current as PlanRecord, mine: draft }) : planActions.saveRefused({ problem }),
          );
        }),
      );
    };
    return merge(asked, actions.pipe(ofType(planActions.saved))).pipe(
      // what is sent, and on which version, is looked at when its turn has come
      concatMap(() => of(null).pipe(withLatestFrom(state, revisions), switchMap(send))),
    );
  },
  { functional: true },
);

/** Work that has not begun is made anew from the plan: it is loaded again once that is kept. */
export const workFollowsPlan = createEffect(
  (actions = inject(Actions), store = inject(Store)) =>
    actions.pipe(
      ofType(planActions.saved),
      withLatestFrom(store.select(work.select)),
      filter(([, w]) => (w.data?.decisions.length ?? 0) > 0),
      map(([, w]) => work.load({ of: w.of ?? '' })),
    ),
  { functional: true },
);
