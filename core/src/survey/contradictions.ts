import type { StateId } from '../quantity/index.js';
import * as coils from './coils.js';
import { among, and, answered, heard, high, type Condition } from './condition.js';
import { placesOf } from './places.js';
import type { StateOf, StateReading } from './state-of.js';

/** Readings that cannot both be true, and what is read again first. */
export interface Contradiction {
  readonly id: ContradictionId;
  readonly evidence: readonly StateReading[];
  readonly again: StateId;
}

export type ContradictionId =
  | 'fallsThoughOpen'
  | 'fallsAndStays'
  | 'staysThoughGrounded'
  | 'reliefTwice'
  | 'jointTight'
  | 'openOnly'
  | 'fadesAndAlike'
  | 'sourThoughLow'
  | 'heardThoughDead'
  | 'dryEndsInDamp'
  | 'sunkenYetHigh'
  | 'liftsYetDown'
  | 'endYetTurns'
  | 'rightYetDead'
  | 'splitYetWhole';

const FALLS = 'hum that falls on touching strings';
const STAYS = 'hum that does not fall on touching strings';
const METAL = 'hum that rises on touching any metal';
const OTHER_BUZZES = ['buzz at frets 1 to 5', 'buzz from the 12th up', 'buzz at one note', 'buzz everywhere'];

/** One relief that is read two ways is the same within this and both limits, mm [memory]. */
const SAME_RELIEF = 0.15;
/** A rod that has so much left is at no end, turns [memory]. */
const TURNS_LEFT = 0.5;

const sign = (feature: string): Condition => among(['stopSign'], (s) => s.of('stopSign').filter((t) => t.target.feature === feature && t.reading.value === 1));
const reads = (id: StateId, is: (t: StateReading) => boolean): Condition => among([id], (s) => s.of(id).filter(is));
const any = (list: readonly Condition[]): Condition => ({ looks: list.flatMap((c) => c.looks), holds: (s) => list.flatMap((c) => c.holds(s)) });

function reliefTwice(s: StateOf): readonly StateReading[] {
  const [whole, along] = [s.at('relief', 'neck'), s.at('reliefAt', 'fret 7')];
  if (!whole || !along) return [];
  const off = Math.abs(whole.reading.value - along.reading.value) - whole.reading.limit - along.reading.limit;
  return off > SAME_RELIEF ? [whole, along] : [];
}

/** All slots of the nut, where none is high. */
function lowNut(s: StateOf): readonly StateReading[] {
  const read = s.of('nutGap');
  return read.length === placesOf('nutGap', s.surveyed).length && read.every((t) => t.standing !== 'high' && t.standing !== 'atEdge') ? read : [];
}

/** A pickup that is heard when it is tapped, though its coil is open or shorted. */
function heardThoughDead(s: StateOf): readonly StateReading[] {
  const dead = [...coils.coilOpen(s), ...coils.coilShorted(s), ...coils.jackOpen(s), ...coils.hotShorted(s)];
  return dead.flatMap((d) => {
    const tap = s.at('tapTest', d.target.feature);
    return tap?.reading.value === 0 ? [tap, d] : [];
  });
}

/** All pickups, where none of them reads as a coil does. */
function allDead(s: StateOf): readonly StateReading[] {
  const dead = [...coils.jackOpen(s), ...coils.hotShorted(s), ...coils.coilOpen(s), ...coils.coilShorted(s)];
  return dead.length > 0 && dead.length === s.of('resistance').length ? dead : [];
}

function splitYetWhole(s: StateOf): readonly StateReading[] {
  return coils.wholeCoil(s).flatMap((whole) => {
    const set = s.at('splitState', whole.target.feature);
    return set && set.reading.value > 0 ? [set, whole] : [];
  });
}

const grounded = reads('groundResistance', (t) => t.target.feature === 'bridge' && t.standing === 'within');
const floating = reads('groundResistance', (t) => t.target.feature === 'bridge' && t.standing === 'high');

/** What contradicts what. Common practice, no source. */
const ROWS: readonly (readonly [ContradictionId, StateId, Condition])[] = [
  ['fallsThoughOpen', 'groundResistance', and(heard(FALLS), floating)],
  ['fallsAndStays', 'symptom', and(heard(FALLS), heard(STAYS))],
  // hot and ground exchanged explains it
  ['staysThoughGrounded', 'groundResistance', unless(heard(METAL), and(heard(STAYS), grounded))],
  ['reliefTwice', 'relief', among(['relief', 'reliefAt'], reliefTwice)],
  [
    'jointTight',
    'jointGap',
    and(
      sign('loose neck joint'),
      reads('jointGap', (t) => t.standing === 'within'),
    ),
  ],
  ['openOnly', 'symptom', and(heard('buzz on open strings only'), any(OTHER_BUZZES.map(heard)))],
  ['fadesAndAlike', 'symptom', and(heard('sour first-position chords'), heard('all fretted notes sharp alike'))],
  ['sourThoughLow', 'nutGap', and(heard('sour first-position chords'), among(['nutGap'], lowNut))],
  ['heardThoughDead', 'tapTest', among(['tapTest', 'resistance'], heardThoughDead)],
  ['dryEndsInDamp', 'humidity', and(high('humidity'), answered('fretEnds', 2))],
  ['sunkenYetHigh', 'stringsOverTop', and(sign('sinking top'), high('stringsOverTop'))],
  [
    'liftsYetDown',
    'bridgeLift',
    and(
      sign('lifting bridge'),
      reads('bridgeLift', (t) => t.reading.value + t.reading.limit < 1),
    ),
  ],
  [
    'endYetTurns',
    'rodFeel',
    and(
      sign('rod at its end'),
      reads('rodTurns', (t) => t.reading.value - t.reading.limit > TURNS_LEFT),
    ),
  ],
  ['rightYetDead', 'resistance', and(heard('weak and dull at a right resistance'), among(['resistance'], allDead))],
  ['splitYetWhole', 'splitState', among(['splitState', 'resistance'], splitYetWhole)],
];

/** The one, where the other is not. */
function unless(not: Condition, of: Condition): Condition {
  return { ...of, holds: (s) => (not.holds(s).length > 0 ? [] : of.holds(s)) };
}

/** Readings that contradict each other: one of them is wrong, and what rests on it. Hum that falls on the strings, and a bridge at 900 Ω from the sleeve. */
export function contradictionsOf(state: StateOf): readonly Contradiction[] {
  return ROWS.flatMap(([id, again, when]) => {
    const evidence = when.holds(state);
    return evidence.length > 0 ? [{ id, evidence, again }] : [];
  });
}
