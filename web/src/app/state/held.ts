import { inject, type EnvironmentProviders } from '@angular/core';
import { Actions, createEffect, ofType, provideEffects, type FunctionalEffect } from '@ngrx/effects';
import { createAction, createFeatureSelector, createReducer, on, props, provideState, type ActionReducer } from '@ngrx/store';
import type { Problem } from '@rinnovo/contract';
import { catchError, map, of as just, switchMap, type Observable } from 'rxjs';
import { Api, type Versioned } from '../api/api';
import { problemOf } from '../api/problem-of';

/** A resource as the store holds it: of what, how far, and what came. */
export interface Held<T> {
  readonly of: string | null;
  readonly status: 'idle' | 'loading' | 'ready' | 'failed';
  readonly data: T | null;
  readonly version: number | null;
  readonly problem: Problem | null;
}

/** The store's feature for one resource: load it, hold it, say when it failed. What is there stays while it is loaded again. */
export function heldResource<T>(name: string, fetch: (api: Api, of: string) => Observable<Versioned<T>>) {
  const load = createAction(`[${name}] load`, props<{ of: string }>());
  const loaded = createAction(`[${name}] loaded`, props<{ of: string; data: T; version: number | null }>());
  const failed = createAction(`[${name}] failed`, props<{ of: string; problem: Problem }>());
  const nothing: Held<T> = { of: null, status: 'idle', data: null, version: null, problem: null };
  const reducer: ActionReducer<Held<T>> = createReducer<Held<T>>(
    nothing,
    on(load, (s, { of }): Held<T> => ({ ...(s.of === of ? s : nothing), of, status: 'loading', problem: null })),
    on(loaded, (s, { of, data, version }): Held<T> => {
      if (s.of !== null && s.of !== of) return s;
      // an answer that was under way while a newer one came says what was, not what is
      if (s.version !== null && version !== null && version < s.version) return { ...s, status: 'ready', problem: null };
      return { of, status: 'ready', data, version, problem: null };
    }),
    on(failed, (s, { of, problem }): Held<T> => (s.of === of ? { ...s, status: 'failed', problem } : s)),
  );
  const load$: FunctionalEffect = createEffect(
    (actions = inject(Actions), api = inject(Api)) =>
      actions.pipe(
        ofType(load),
        switchMap(({ of }) =>
          fetch(api, of).pipe(
            map(({ body, version }) => loaded({ of, data: body, version })),
            catchError((error: unknown) => just(failed({ of, problem: problemOf(error) }))),
          ),
        ),
      ),
    { functional: true },
  );
  const provide = (): EnvironmentProviders[] => [provideState(name, reducer), provideEffects({ load$ })];
  return { load, loaded, failed, provide, select: createFeatureSelector<Held<T>>(name) };
}

export function provideHeld(...resources: readonly { provide: () => EnvironmentProviders[] }[]): EnvironmentProviders[] {
  return resources.flatMap((r) => r.provide());
}
