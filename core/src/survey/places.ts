import type { Anatomy, StartingKind } from '../instrument/index.js';
import { STATES, type PlaceKind, type StateId, type StateTarget } from '../quantity/index.js';

/** What a survey knows of the instrument beside its readings. */
export interface Surveyed {
  readonly anatomy: Anatomy;
  readonly kind: StartingKind;
}

/** Which targets and steps go with a kind of instrument. */
export type Family = 'electric' | 'bass' | 'acoustic';

export function familyOf(kind: StartingKind): Family {
  return kind === 'bass' ? 'bass' : kind === 'flat-top acoustic' ? 'acoustic' : 'electric';
}

/** Signs at which strings come off at once, before anything else. */
export const STOP_SIGNS = ['headstock break', 'loose neck joint', 'rod at its end', 'lifting bridge', 'sinking top', 'tingle from the strings'] as const;
const ACOUSTIC_SIGNS: ReadonlySet<string> = new Set(['lifting bridge', 'sinking top']);

/** What is heard and felt while it is played. */
export const SYMPTOMS = [
  'buzz on open strings only',
  'buzz at frets 1 to 5',
  'buzz from the 12th up',
  'buzz at one note',
  'sour first-position chords',
  'all fretted notes sharp alike',
  'first string slips off',
  'sharp after a bend or dive',
  'crackle on turning',
  'hum that falls on touching strings',
  'hum that does not fall on touching strings',
] as const;
const ELECTRICAL: ReadonlySet<string> = new Set(SYMPTOMS.slice(8));

const METALS = ['bridge', 'cover screws'] as const;

/** Every place that a state has on an instrument, in the order in which it is read; empty where the instrument has no such thing. */
export function placesOf(id: StateId, s: Surveyed): readonly StateTarget[] {
  return features(STATES[id].of, s).map(({ feature, part }) => (part === undefined ? { quantity: id, feature } : { quantity: id, feature, part }));
}

function features(of: PlaceKind, { anatomy, kind }: Surveyed): readonly { readonly feature: string; readonly part?: string }[] {
  const acoustic = familyOf(kind) === 'acoustic';
  switch (of) {
    case 'sign':
      return STOP_SIGNS.filter((x) => acoustic === ACOUSTIC_SIGNS.has(x) || !(ACOUSTIC_SIGNS.has(x) || x === 'tingle from the strings')).map((feature) => ({
        feature,
      }));
    case 'symptom':
      return SYMPTOMS.filter((x) => !acoustic || !ELECTRICAL.has(x)).map((feature) => ({ feature }));
    case 'room':
      return [{ feature: 'room' }];
    case 'neck':
      return [{ feature: 'neck' }];
    case 'string':
      return Array.from({ length: anatomy.strings.count }, (_, i) => ({ feature: `string ${i + 1}` }));
    case 'edge':
      return [{ feature: 'bass edge' }, { feature: 'treble edge' }];
    case 'fret':
      return Array.from({ length: anatomy.neck.frets }, (_, i) => ({ feature: `fret ${i + 1}` }));
    case 'pickup':
      return anatomy.positions.map((p) => ({ feature: p.id }));
    case 'pickup side':
      return anatomy.positions.flatMap(({ id }) => ['bass', 'treble'].map((part) => ({ feature: id, part })));
    case 'metal':
      return acoustic ? [] : METALS.map((feature) => ({ feature }));
    case 'bridge':
      return acoustic ? [{ feature: 'bridge' }] : [];
  }
}

/** Is there such a place on the instrument? A reading at a fret that does not exist is none. */
export function isPlace(t: StateTarget, s: Surveyed): boolean {
  return placesOf(t.quantity, s).some((p) => p.feature === t.feature && p.part === t.part);
}
