import { familyOf, type Surveyed } from './surveyed.js';
import { symptomsOf } from './heard.js';
import { testSheet, type Circuit } from '../wire/index.js';
import { STATES, type PlaceKind, type StateId, type StateTarget } from '../quantity/index.js';

/** Signs at which strings come off at once, before anything else. */
export const STOP_SIGNS = ['headstock break', 'loose neck joint', 'rod at its end', 'lifting bridge', 'sinking top', 'tingle from the strings'] as const;
const ACOUSTIC_SIGNS: ReadonlySet<string> = new Set(['lifting bridge', 'sinking top']);

const METALS = ['bridge', 'cover screws'] as const;
/** Where the relief is felt along the neck for its curve. */
const ALONG = [3, 5, 7, 9, 12] as const;

/** Every place that a state has on an instrument, in the order in which it is read; empty where the instrument has no such thing. */
export function placesOf(id: StateId, s: Surveyed): readonly StateTarget[] {
  if (STATES[id].of === 'circuit') return s.circuit ? circuitPlaces(s.circuit).filter((t) => t.quantity === id) : [];
  return features(STATES[id].of as Exclude<PlaceKind, 'circuit'>, s).map(({ feature, part }) =>
    part === undefined ? { quantity: id, feature } : { quantity: id, feature, part },
  );
}

/** What can be read of a circuit, worked out once for each. */
const READ_OF_CIRCUITS = new WeakMap<Circuit, readonly StateTarget[]>();

function circuitPlaces(circuit: Circuit): readonly StateTarget[] {
  const known = READ_OF_CIRCUITS.get(circuit);
  if (known) return known;
  const targets = testSheet(circuit).map((l) => l.target);
  READ_OF_CIRCUITS.set(circuit, targets);
  return targets;
}

function features(of: Exclude<PlaceKind, 'circuit'>, s: Surveyed): readonly { readonly feature: string; readonly part?: string }[] {
  const { anatomy, kind, fitted } = s;
  const acoustic = familyOf(kind) === 'acoustic';
  switch (of) {
    case 'sign':
      return STOP_SIGNS.filter((x) => acoustic === ACOUSTIC_SIGNS.has(x) || !(ACOUSTIC_SIGNS.has(x) || x === 'tingle from the strings')).map((feature) => ({
        feature,
      }));
    case 'symptom':
      return symptomsOf(s).map((feature) => ({ feature }));
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
    case 'pickup pair':
      return neighbours(anatomy).map(([a, b]) => ({ feature: a, part: b }));
    case 'pickup side':
      return anatomy.positions.flatMap(({ id }) => ['bass', 'treble'].map((part) => ({ feature: id, part })));
    case 'metal':
      return acoustic ? [] : METALS.map((feature) => ({ feature }));
    case 'along':
      return ALONG.filter((n) => n <= anatomy.neck.frets).map((n) => ({ feature: `fret ${n}` }));
    case 'end':
      return [{ feature: 'nut' }, { feature: 'saddle' }];
    case 'cavity':
      return acoustic ? [] : anatomy.cavities.map((c) => ({ feature: c.id }));
    case 'body':
      return [{ feature: 'body' }];
    case 'tremolo':
      return fitted.includes('tremolo') ? [{ feature: 'tremolo' }] : [];
    case 'battery':
      return fitted.includes('active') ? [{ feature: 'battery' }] : [];
    case 'bridge':
      return acoustic ? [{ feature: 'bridge' }] : [];
  }
}

/** Pickups that are switched together: each with the next one towards the bridge. */
function neighbours({ positions }: Surveyed['anatomy']): readonly (readonly [string, string])[] {
  const along = [...positions].sort((a, b) => a.at.y - b.at.y);
  return along.flatMap((p, i): readonly (readonly [string, string])[] => {
    const next = along[i + 1];
    return next ? [[p.id, next.id]] : [];
  });
}

/** Is there such a place on the instrument? A reading at a fret that does not exist is none. */
export function isPlace(t: StateTarget, s: Surveyed): boolean {
  return placesOf(t.quantity, s).some((p) => p.feature === t.feature && p.part === t.part);
}
