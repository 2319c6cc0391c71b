import { ApplicationRef, inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store, type Action } from '@ngrx/store';
import type { Plan } from '@rinnovo/core/check';
import {
  animationFrameScheduler,
  auditTime,
  catchError,
  combineLatest,
  debounceTime,
  distinctUntilChanged,
  EMPTY,
  filter,
  from,
  map,
  mergeMap,
  of,
  startWith,
  switchMap,
  takeUntil,
  tap,
  type Observable,
} from 'rxjs';
import { BatchClient } from '../../workers/batch-client';
import { LiveClient, Superseded } from '../../workers/live-client';
import { resultActions, type Computed } from './results.feature';
import { selectBenchInput } from './job-in-hand';
import { selectComputable, selectJob, selectVerdicts } from './selectors';

interface Ready {
  readonly key: string;
  readonly plan: Plan;
  readonly choice: string | null;
}

/** How long the plan must rest before the longer sums begin, ms. */
const REST = 200;

/** The plan on the screen and the state it stands on, once both are here; the state goes to the worker first. */
function ready(store: Store, live: Pick<LiveClient, 'hold'>): Observable<Ready> {
  return store.select(selectComputable).pipe(
    mergeMap((all) => {
      if (!all) return EMPTY;
      live.hold(all.key, all.state);
      return of({ key: all.key, plan: all.plan, choice: all.choice });
    }),
    distinctUntilChanged((a, b) => a.key === b.key && a.plan === b.plan && a.choice === b.choice),
  );
}

function result<T>(asked: Promise<T>, r: Ready, then: (computed: Computed<T>) => Action): Observable<Action> {
  return from(asked).pipe(
    map((value) => then({ ...r, result: value })),
    catchError((error: unknown) => (error instanceof Superseded ? EMPTY : failed(error))),
  );
}

function failed(error: unknown): Observable<Action> {
  return of(resultActions.failed({ message: error instanceof Error ? error.message : 'the computation failed' }));
}

/** Verdicts follow every change of the plan, the newest of each frame; the client itself drops what is out of date. */
export const evaluateLive = createEffect(
  (store: Store = inject<Store>(Store), live = inject(LiveClient)) =>
    ready(store, live).pipe(
      mergeMap((r) => result(live.ask<'evaluate'>({ kind: 'evaluate', ...r }), r, (computed) => resultActions.evaluated({ computed }))),
      auditTime(0, animationFrameScheduler),
    ),
  { functional: true },
);

/** What the hand moved and what the worker answered in one frame are drawn together: the page is gone through once for both. */
export const drawWithTheFrame = createEffect(
  (actions = inject(Actions), app = inject(ApplicationRef)) =>
    actions.pipe(
      ofType(resultActions.evaluated),
      tap(() => app.tick()),
    ),
  { functional: true, dispatch: false },
);

/** The workings follow when the hand rests. */
export const evaluateInFull = createEffect(
  (store: Store = inject<Store>(Store), live = inject(LiveClient)) =>
    ready(store, live).pipe(
      debounceTime(REST / 2),
      switchMap((r) => result(live.ask<'full'>({ kind: 'full', ...r }), r, (computed) => resultActions.evaluatedInFull({ computed }))),
    ),
  { functional: true },
);

/** The ways out, one after the other; they can be stopped and asked for again. */
export const workOutOptions = createEffect(
  (store: Store = inject<Store>(Store), batch = inject(BatchClient), actions = inject(Actions)) =>
    combineLatest([ready(store, batch), store.select(selectJob), actions.pipe(ofType(resultActions.optionsAskedAgain), startWith(null))]).pipe(
      debounceTime(REST),
      switchMap(([r, job]) =>
        job
          ? batch.run({ kind: 'options', ...r, request: job.request }).pipe(
              takeUntil(actions.pipe(ofType(resultActions.optionsStopped))),
              mergeMap((a): Observable<Action> => {
                if (a.kind === 'progress') return of(resultActions.optionsWentOn({ done: a.done, of: a.of }));
                return a.kind === 'options' ? of(resultActions.optionsWorkedOut({ computed: { ...r, result: a.result } })) : EMPTY;
              }),
              catchError(failed),
            )
          : EMPTY,
      ),
    ),
  { functional: true },
);

/** How long the plan must rest before the longest sum begins, ms. */
const LONG_REST = 600;

/** Where a pickup that does not clear has most room: the longest sum, asked for last. */
export const findTheBestPlace = createEffect(
  (store: Store = inject<Store>(Store), batch = inject(BatchClient)) =>
    combineLatest([ready(store, batch), store.select(selectVerdicts)]).pipe(
      debounceTime(LONG_REST),
      filter(([, verdicts]) => verdicts.some((v) => v.check === 'partInRoute' && v.class !== 'well')),
      distinctUntilChanged(([a], [b]) => a === b),
      switchMap(([r]) =>
        batch.run({ kind: 'best', ...r }).pipe(
          mergeMap((a) => (a.kind === 'best' ? of(resultActions.bestPlaced({ computed: { ...r, result: a.result } })) : EMPTY)),
          catchError(failed),
        ),
      ),
    ),
  { functional: true },
);

export const planTheCutting = createEffect(
  (store: Store = inject<Store>(Store), live = inject(LiveClient)) =>
    ready(store, live).pipe(
      debounceTime(REST),
      switchMap((r) => result(live.ask<'cutting'>({ kind: 'cutting', ...r }), r, (computed) => resultActions.cuttingPlanned({ computed }))),
    ),
  { functional: true },
);

export const layOutBench = createEffect(
  (store: Store = inject<Store>(Store), live = inject(LiveClient)) =>
    combineLatest([ready(store, live), store.select(selectBenchInput)]).pipe(
      debounceTime(20),
      switchMap(([r, input]) => result(live.ask<'bench'>({ kind: 'bench', ...r, input }), r, (computed) => resultActions.benchLaidOut({ computed }))),
    ),
  { functional: true },
);
