import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import type { AnatomyRevision } from '@rinnovo/contract';
import type { Anatomy } from '@rinnovo/core/instrument';
import { upgradeAnatomy } from '@rinnovo/core/upgrade';
import { catchError, concatMap, debounceTime, EMPTY, filter, from, map, merge, of, switchMap, withLatestFrom } from 'rxjs';
import { Api } from '../api/api';
import { problemOf } from '../api/problem-of';
import { anatomyEditActions, anatomyEditFeature } from './anatomy-edit.feature';
import { Drafts } from './drafts';
import { anatomy, type AnatomyHeld } from './resources';

/** How long the hand must rest before a change becomes a revision, ms. */
const REST = 500;

const draftName = (instrument: string): string => `anatomy/${instrument}`;

export const keepAnatomyDraft = createEffect(
  (actions = inject(Actions), store = inject(Store), drafts = inject(Drafts)) =>
    actions.pipe(
      ofType(anatomyEditActions.edited, anatomyEditActions.undo, anatomyEditActions.redo),
      withLatestFrom(store.select(anatomyEditFeature.selectAnatomyEditState), store.select(anatomy.select)),
      concatMap(([, s, held]) => (s.of !== null && s.draft ? from(drafts.keep(draftName(s.of), { version: held.version ?? 0, kept: s.draft })) : EMPTY)),
    ),
  { functional: true, dispatch: false },
);

/** What was not acknowledged before the page went away comes back, when nobody else changed the instrument since. */
export const bringDraftBack = createEffect(
  (actions = inject(Actions), store = inject(Store), drafts = inject(Drafts)) =>
    actions.pipe(
      ofType(anatomy.loaded),
      withLatestFrom(store.select(anatomyEditFeature.selectAnatomyEditState)),
      filter(([{ of: id }, s]) => s.of === id && s.draft === null && s.undo.length === 0),
      switchMap(([{ of: id, data, version }]) =>
        from(drafts.of<unknown>(draftName(id))).pipe(
          concatMap((d) => (d?.version === version ? of(anatomyEditActions.edited({ of: id, from: data.now.document, to: upgradeAnatomy(d.kept) })) : EMPTY)),
        ),
      ),
    ),
  { functional: true },
);

/** Makes a revision of the newest draft once the hand rests; one at a time, and again when it moved on meanwhile. */
export const saveAnatomy = createEffect(
  (actions = inject(Actions), store = inject(Store), api = inject(Api), drafts = inject(Drafts)) => {
    const asked = merge(
      actions.pipe(ofType(anatomyEditActions.edited), debounceTime(REST)),
      actions.pipe(ofType(anatomyEditActions.undo, anatomyEditActions.redo, anatomyEditActions.keepMine, anatomyEditActions.saved)),
    );
    return asked.pipe(
      concatMap(() => of(null).pipe(withLatestFrom(store.select(anatomyEditFeature.selectAnatomyEditState), store.select(anatomy.select)))),
      filter(([, s, held]) => s.saving === 'waiting' && s.draft !== null && s.of === held.of && held.data !== null && held.version !== null),
      concatMap(([, s, held]) => {
        const document = s.draft as Anatomy;
        const id = s.of as string;
        store.dispatch(anatomyEditActions.sending());
        return api.change<AnatomyRevision>(`/instruments/${id}/anatomy`, held.version ?? 0, { document }).pipe(
          concatMap(({ body }) => {
            const was = held.data as AnatomyHeld;
            // until work begins what is drawn is how it was found
            const data: AnatomyHeld = { ...was, now: body, found: was.found.revision === was.now.revision ? body : was.found };
            return from(drafts.drop(draftName(id))).pipe(
              concatMap(() => of(anatomy.loaded({ of: id, data, version: body.revision }), anatomyEditActions.saved({ sent: document }))),
            );
          }),
          catchError((error: unknown) => {
            const problem = problemOf(error);
            return of(
              problem.status === 412
                ? anatomyEditActions.conflict({ theirs: problem.current as AnatomyRevision, mine: document })
                : anatomyEditActions.refused({ problem }),
            );
          }),
        );
      }),
    );
  },
  { functional: true },
);

/** Either way out of a conflict begins from what the server has now. */
export const settleConflict = createEffect(
  (actions = inject(Actions), store = inject(Store), drafts = inject(Drafts)) =>
    actions.pipe(
      ofType(anatomyEditActions.takeTheirs),
      withLatestFrom(store.select(anatomyEditFeature.selectAnatomyEditState)),
      concatMap(([, s]) => (s.of === null ? EMPTY : from(drafts.drop(draftName(s.of))).pipe(map(() => anatomy.load({ of: s.of as string }))))),
    ),
  { functional: true },
);

/** The other hand's revision becomes what the next one is built on. */
export const buildOnTheirs = createEffect(
  (actions = inject(Actions), store = inject(Store)) =>
    actions.pipe(
      ofType(anatomyEditActions.conflict),
      withLatestFrom(store.select(anatomy.select)),
      concatMap(([{ theirs }, held]) =>
        held.of !== null && held.data ? of(anatomy.loaded({ of: held.of, data: { ...held.data, now: theirs }, version: theirs.revision })) : EMPTY,
      ),
    ),
  { functional: true },
);
