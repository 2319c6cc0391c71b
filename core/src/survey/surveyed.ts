import type { Anatomy, StartingKind } from '../instrument/index.js';
import type { Circuit } from '../wire/index.js';
import { isHardware, pickupIn, type Coil, type Shelf } from '../part/index.js';

/** What a survey knows of the instrument beside its readings. */
export interface Surveyed {
  readonly anatomy: Anatomy;
  readonly kind: StartingKind;
  /** What it has that others do not. */
  readonly fitted: readonly Fitted[];
  /** What is known of its parts; not there: nothing. */
  readonly wired?: Wired;
  /** Its circuit, as it was traced or planned; not there: nobody knows it. */
  readonly circuit?: Circuit;
}

/** What the meter should see: the coils of the pickup of each place, as their sheets or a meter tell them, and the pots, Ω and H. */
export interface Wired {
  readonly coils: Readonly<Record<string, readonly Pick<Coil, 'ohms' | 'henry'>[]>>;
  readonly pots: readonly number[];
}

/** A tremolo and a battery bring steps of their own. */
export type Fitted = 'tremolo' | 'active';

/** What is asked of an instrument, as far as its build is known: a bridge called a tremolo, electronics called active. */
export function surveyedOf(
  anatomy: Anatomy,
  about: { readonly kind: StartingKind; readonly identity: Partial<Readonly<Record<string, { readonly value: string }>>> },
  parts: Shelf = {},
  circuit: Circuit | null = null,
): Surveyed {
  const says = (key: string, word: RegExp): boolean => word.test(about.identity[key]?.value ?? '');
  const wired = wiredOf(anatomy, parts);
  return {
    anatomy,
    kind: about.kind,
    fitted: [...(says('bridge', /tremolo|vibrato/i) ? (['tremolo'] as const) : []), ...(says('electronics', /\bactive\b/i) ? (['active'] as const) : [])],
    ...(wired ? { wired } : {}),
    ...(circuit ? { circuit } : {}),
  };
}

/** The coils and pots that sit in an instrument, as far as its shelf knows them. */
function wiredOf({ positions, holes }: Anatomy, parts: Shelf): Wired | null {
  const coils = Object.fromEntries(
    positions.flatMap((p) => {
      const known = pickupIn(parts, p.part)?.coils ?? [];
      return known.length > 0 ? [[p.id, known] as const] : [];
    }),
  );
  const pots = holes.flatMap((h) => {
    const part = h.part ? parts[h.part] : undefined;
    return part && isHardware(part) && part.kiloohms ? [part.kiloohms * 1000] : [];
  });
  return Object.keys(coils).length + pots.length > 0 ? { coils, pots } : null;
}

/** Which targets and steps go with a kind of instrument. */
export type Family = 'electric' | 'bass' | 'acoustic';

export function familyOf(kind: StartingKind): Family {
  return kind === 'bass' ? 'bass' : kind === 'flat-top acoustic' ? 'acoustic' : 'electric';
}
