import type { StateTarget } from '../quantity/index.js';
import { familyOf, type Family, type Surveyed } from './surveyed.js';

/** Between what a value should lie, in its unit; null: no bound on that side. */
export interface Aim {
  readonly min: number | null;
  readonly max: number | null;
}

const between = (min: number | null, max: number | null): Aim => ({ min, max });

/** Relief, and action of the lowest and of the highest string at the 12th fret, mm [memory: docs/trade/survey.md, targets by kind]. */
const SET_UP: Readonly<Record<Family, { readonly relief: Aim; readonly lowest: Aim; readonly highest: Aim }>> = {
  electric: { relief: between(0.1, 0.3), lowest: between(1.5, 2), highest: between(1.2, 1.6) },
  bass: { relief: between(0.25, 0.4), lowest: between(2, 2.6), highest: between(1.6, 2.2) },
  acoustic: { relief: between(0.15, 0.3), lowest: between(2.2, 2.7), highest: between(1.7, 2.2) },
};

/** Gap over the first fret of the highest string and of the lowest, mm [trade]. */
const NUT_HIGHEST = between(0.05, 0.15);
const NUT_LOWEST = between(0.05, 0.25);

/** Distance of poles from strings held at the last fret, mm [memory]. */
const PICKUP: Readonly<Record<'electric' | 'bass', Readonly<Record<'bass' | 'treble', Aim>>>> = {
  electric: { bass: between(2, 2.5), treble: between(1.6, 2) },
  bass: { bass: between(2.5, 3), treble: between(1.8, 2.4) },
};

/** A string that leaves the nut flatter than this wants a tree, degrees [memory]. */
const NUT_BREAK = between(5, null);

/** What a value should be on this instrument; null where nothing is wanted of it. String 1 is the highest. */
export function aimFor(t: StateTarget, s: Surveyed): Aim | null {
  const family = familyOf(s.kind);
  switch (t.quantity) {
    case 'humidity':
      return between(45, 55); // [trade]
    case 'relief':
    case 'reliefTreble':
      return SET_UP[family].relief;
    case 'action':
      return alongStrings(SET_UP[family].highest, SET_UP[family].lowest, t, s);
    case 'nutGap':
      return alongStrings(NUT_HIGHEST, NUT_LOWEST, t, s);
    case 'saddleTravel':
      return between(15, 85); // [trade]
    case 'edgeGap':
      return between(2.5, null); // [trade]
    case 'intonation':
      return between(-3, 3); // [trade]
    case 'pickupHeight':
      return family === 'acoustic' ? null : PICKUP[family][t.part === 'treble' ? 'treble' : 'bass'];
    case 'groundResistance':
      return between(null, 2); // [trade: conducts]
    case 'jointGap':
      return between(null, 0.1); // [memory: a feeler that enters]
    case 'rodTurns':
      return between(0.25, null); // [memory]
    case 'fretRock':
      return between(null, 0.03); // [trade]
    case 'fretHeight':
      return between(0.9, null); // [trade]
    case 'fretEnds':
    case 'stopSign':
    case 'symptom':
    case 'rodFeel':
    case 'looseFrets':
    case 'jointLine':
    case 'screws':
    case 'tuners':
    case 'tapTest':
    case 'finish':
    case 'topShape':
    case 'topCrack':
    case 'tremoloRest':
      return between(null, 0);
    case 'poleOffset':
      return between(null, 1); // [trade]
    case 'bridgeOffset':
      return between(-0.5, 0.5); // [trade]
    case 'saddleRoom':
      return between(null, 0);
    case 'breakAngle':
      if (t.feature === 'nut') return family === 'acoustic' ? null : NUT_BREAK; // [memory]
      return family === 'acoustic' ? between(15, null) : null; // [memory]
    case 'shieldResistance':
      return between(null, 10_000); // [memory: enough as a screen]
    case 'supply':
      return between(7.5, null); // [trade: under load]
    case 'stringsOverTop':
      return between(12, 13); // [memory]
    case 'saddleShown':
      return between(2.5, 4); // [memory]
    case 'planeOverBridge':
      return between(0, 1); // [trade]
    case 'bridgeLift':
      return between(null, 5); // [trade: a 0.1 feeler entering further]
    case 'temperature':
    case 'resistance':
    case 'pairResistance':
    case 'toneResistance':
    case 'inductance':
    case 'splitState':
    case 'reliefAt':
    // what a circuit must read is worked out from the circuit
    case 'partResistance':
    case 'partCapacitance':
    case 'partInductance':
    case 'harnessResistance':
    case 'jackResistance':
    case 'tapAt':
    case 'stringAt':
    case 'supplyCurrent':
      return null;
  }
}

/** Between the outer strings the wish goes evenly. */
function alongStrings(highest: Aim, lowest: Aim, t: StateTarget, { anatomy }: Surveyed): Aim {
  const n = Number(t.feature.replace('string ', ''));
  const share = anatomy.strings.count > 1 ? (n - 1) / (anatomy.strings.count - 1) : 0;
  const mid = (a: number | null, b: number | null): number | null => (a === null || b === null ? null : Math.round((a + (b - a) * share) * 100) / 100);
  return between(mid(highest.min, lowest.min), mid(highest.max, lowest.max));
}

/** How a value lies to its aim; `atEdge`: nearer to a bound than the tool can tell. */
export type Standing = 'within' | 'low' | 'high' | 'atEdge';

export function standing(value: number, limit: number, { min, max }: Aim): Standing {
  if (min !== null && value + limit < min) return 'low';
  if (max !== null && value - limit > max) return 'high';
  return (min === null || value >= min) && (max === null || value <= max) ? 'within' : 'atEdge';
}
