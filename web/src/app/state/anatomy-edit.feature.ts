import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import type { AnatomyRevision, Problem } from '@rinnovo/contract';
import type { Anatomy } from '@rinnovo/core/instrument';
import { anatomy } from './resources';

/** What is being changed on an instrument's anatomy, and the way back within this sitting. */
export interface AnatomyEdit {
  readonly of: string | null;
  /** What is on the screen; null: what the server has. */
  readonly draft: Anatomy | null;
  readonly saving: 'saved' | 'waiting' | 'sending' | 'refused';
  readonly problem: Problem | null;
  readonly conflict: { readonly theirs: AnatomyRevision; readonly mine: Anatomy } | null;
  /** States before each change, the newest last. */
  readonly undo: readonly Anatomy[];
  readonly redo: readonly Anatomy[];
  /** The revision that the steps lead back from. */
  readonly version: number | null;
}

export const anatomyEditActions = createActionGroup({
  source: 'anatomy edit',
  events: {
    /** The whole instrument after a change, and before it. */
    Edited: props<{ of: string; from: Anatomy; to: Anatomy }>(),
    Undo: props<{ now: Anatomy }>(),
    Redo: props<{ now: Anatomy }>(),
    Sending: emptyProps(),
    Saved: props<{ sent: Anatomy }>(),
    Refused: props<{ problem: Problem }>(),
    Conflict: props<{ theirs: AnatomyRevision; mine: Anatomy }>(),
    'Take theirs': emptyProps(),
    'Keep mine': emptyProps(),
  },
});

const nothing: AnatomyEdit = { of: null, draft: null, saving: 'saved', problem: null, conflict: null, undo: [], redo: [], version: null };

/** How many changes can be taken back in one sitting; older ones are in the history. */
const STEPS = 100;

export const anatomyEditFeature = createFeature({
  name: 'anatomyEdit',
  reducer: createReducer(
    nothing,
    on(anatomy.load, (s, { of }): AnatomyEdit => (s.of === of ? s : { ...nothing, of })),
    // a revision that came from elsewhere (a reading, done work) is not undone by the steps of this sitting
    on(anatomy.loaded, (s, { of, version }): AnatomyEdit =>
      s.of !== of || version === s.version ? s : { ...s, version, ...(s.saving === 'saved' && s.version !== null ? { undo: [], redo: [] } : {}) },
    ),
    on(anatomyEditActions.edited, (s, { of, from, to }): AnatomyEdit => ({
      ...(s.of === of ? s : nothing),
      of,
      draft: to,
      saving: 'waiting',
      problem: null,
      undo: [...(s.of === of ? s.undo : []), from].slice(-STEPS),
      redo: [],
    })),
    on(anatomyEditActions.undo, (s, { now }): AnatomyEdit => {
      const before = s.undo[s.undo.length - 1];
      return before ? { ...s, draft: before, saving: 'waiting', problem: null, undo: s.undo.slice(0, -1), redo: [...s.redo, now] } : s;
    }),
    on(anatomyEditActions.redo, (s, { now }): AnatomyEdit => {
      const after = s.redo[s.redo.length - 1];
      return after ? { ...s, draft: after, saving: 'waiting', problem: null, redo: s.redo.slice(0, -1), undo: [...s.undo, now] } : s;
    }),
    on(anatomyEditActions.sending, (s): AnatomyEdit => ({ ...s, saving: 'sending' })),
    on(anatomyEditActions.saved, (s, { sent }): AnatomyEdit => (s.draft === sent ? { ...s, draft: null, saving: 'saved' } : { ...s, saving: 'waiting' })),
    on(anatomyEditActions.refused, (s, { problem }): AnatomyEdit => ({ ...s, saving: 'refused', problem })),
    on(anatomyEditActions.conflict, (s, conflict): AnatomyEdit => ({ ...s, saving: 'refused', conflict })),
    // another hand's revision lies between: what could be undone before no longer fits
    on(anatomyEditActions.takeTheirs, (s): AnatomyEdit => ({ ...nothing, of: s.of })),
    on(anatomyEditActions.keepMine, (s): AnatomyEdit => ({ ...s, draft: s.conflict?.mine ?? s.draft, saving: 'waiting', conflict: null, undo: [], redo: [] })),
  ),
});
