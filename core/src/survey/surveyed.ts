import type { Anatomy, StartingKind } from '../instrument/index.js';

/** What a survey knows of the instrument beside its readings. */
export interface Surveyed {
  readonly anatomy: Anatomy;
  readonly kind: StartingKind;
  /** What it has that others do not. */
  readonly fitted: readonly Fitted[];
}

/** A tremolo and a battery bring steps of their own. */
export type Fitted = 'tremolo' | 'active';

/** What is asked of an instrument, as far as its build is known: a bridge called a tremolo, electronics called active. */
export function surveyedOf(
  anatomy: Anatomy,
  about: { readonly kind: StartingKind; readonly identity: Partial<Readonly<Record<string, { readonly value: string }>>> },
): Surveyed {
  const says = (key: string, word: RegExp): boolean => word.test(about.identity[key]?.value ?? '');
  return {
    anatomy,
    kind: about.kind,
    fitted: [...(says('bridge', /tremolo|vibrato/i) ? (['tremolo'] as const) : []), ...(says('electronics', /\bactive\b/i) ? (['active'] as const) : [])],
  };
}

/** Which targets and steps go with a kind of instrument. */
export type Family = 'electric' | 'bass' | 'acoustic';

export function familyOf(kind: StartingKind): Family {
  return kind === 'bass' ? 'bass' : kind === 'flat-top acoustic' ? 'acoustic' : 'electric';
}
