import type { StateId } from '../quantity/index.js';
import { familyOf, type Surveyed } from './surveyed.js';
import type { RuleId, Severity } from './rule-ids.js';

/** On which instruments it can be heard at all. */
type On = 'every' | 'electric' | 'acoustic' | 'active' | 'two pickups';

/** Something that is heard or felt while it is played, and the finding that it is. */
export interface Heard {
  readonly rule: RuleId;
  readonly symptom: string;
  readonly on: On;
  readonly severity: Severity;
  /** Judged in the place of this quantity; null: at once. */
  readonly judgedAt: StateId | null;
  /** What it may come from, the likeliest first. */
  readonly causes: readonly RuleId[];
}

/** What is asked while it is played: first what every instrument has, then what is electrical [trade: docs/trade/survey.md, heard while played]. */
export const HEARD: readonly Heard[] = [
  { rule: 'buzzOpen', symptom: 'buzz on open strings only', on: 'every', severity: 'put right', judgedAt: 'nutGap', causes: ['nutLow', 'zeroFretWorn'] },
  {
    rule: 'buzzLowFrets',
    symptom: 'buzz at frets 1 to 5',
    on: 'every',
    severity: 'put right',
    judgedAt: 'relief',
    causes: ['backBow', 'reliefLow', 'spotLevel', 'fullLevel'],
  },
  {
    rule: 'buzzHighFrets',
    symptom: 'buzz from the 12th up',
    on: 'every',
    severity: 'put right',
    judgedAt: 'relief',
    causes: ['neckBeyondRod', 'reliefHigh', 'jointOpen', 'fretsLoose', 'fullLevel', 'spotLevel'],
  },
  {
    rule: 'buzzOneNote',
    symptom: 'buzz at one note',
    on: 'every',
    severity: 'put right',
    judgedAt: 'fretRock',
    causes: ['fretsLoose', 'spotLevel', 'fretWorn', 'fullLevel'],
  },
  {
    rule: 'buzzEverywhere',
    symptom: 'buzz everywhere',
    on: 'every',
    severity: 'put right',
    judgedAt: 'action',
    causes: ['actionLow', 'backBow', 'reliefLow'],
  },
  { rule: 'bodyBuzz', symptom: 'buzz at one pitch on any string', on: 'acoustic', severity: 'put right', judgedAt: null, causes: [] },
  { rule: 'sitar', symptom: 'sitar tone on an open string', on: 'every', severity: 'put right', judgedAt: 'nutGap', causes: [] },
  { rule: 'sourFirst', symptom: 'sour first-position chords', on: 'every', severity: 'put right', judgedAt: 'nutGap', causes: ['nutHigh', 'zeroFretHigh'] },
  { rule: 'allSharp', symptom: 'all fretted notes sharp alike', on: 'every', severity: 'put right', judgedAt: 'nutGap', causes: [] },
  {
    rule: 'stringSlips',
    symptom: 'first string slips off',
    on: 'every',
    severity: 'put right',
    judgedAt: null,
    causes: ['bridgeOff', 'neckShifted', 'edgeNarrow'],
  },
  { rule: 'sharpAfterBend', symptom: 'sharp after a bend or dive', on: 'every', severity: 'put right', judgedAt: 'nutGap', causes: [] },
  { rule: 'flatAfterBend', symptom: 'flat after a bend', on: 'every', severity: 'put right', judgedAt: null, causes: ['tunersLoose', 'jointOpen'] },
  { rule: 'deadNote', symptom: 'dead note with clean frets', on: 'every', severity: 'leave', judgedAt: 'fretRock', causes: ['fretsLoose'] },
  { rule: 'neckRattle', symptom: 'rattle in the neck', on: 'every', severity: 'put right', judgedAt: null, causes: ['rodFree'] },
  { rule: 'stringsBreak', symptom: 'strings break at one place', on: 'every', severity: 'put right', judgedAt: null, causes: [] },
  { rule: 'stringsOld', symptom: 'intonation that changes as the strings age', on: 'every', severity: 'put right', judgedAt: null, causes: [] },
  { rule: 'piezoQuiet', symptom: 'one string quiet through the piezo', on: 'every', severity: 'put right', judgedAt: null, causes: [] },
  { rule: 'coverShorts', symptom: 'silent only with its cover on', on: 'electric', severity: 'put right', judgedAt: null, causes: [] },
  { rule: 'crackle', symptom: 'crackle on turning', on: 'electric', severity: 'put right', judgedAt: null, causes: [] },
  { rule: 'knobScrapes', symptom: 'knob scrapes, pot turns with it', on: 'electric', severity: 'put right', judgedAt: null, causes: [] },
  { rule: 'plugLoose', symptom: 'dies when the plug moves', on: 'electric', severity: 'put right', judgedAt: null, causes: [] },
  { rule: 'humFalls', symptom: 'hum that falls on touching strings', on: 'electric', severity: 'leave', judgedAt: null, causes: [] },
  {
    rule: 'humStays',
    symptom: 'hum that does not fall on touching strings',
    on: 'electric',
    severity: 'put right',
    judgedAt: null,
    causes: ['hotOnMetal', 'groundOpen'],
  },
  { rule: 'hotOnMetal', symptom: 'hum that rises on touching any metal', on: 'electric', severity: 'put right', judgedAt: null, causes: [] },
  { rule: 'humNulls', symptom: 'hum that nulls as it is turned', on: 'electric', severity: 'leave', judgedAt: null, causes: [] },
  { rule: 'earthLoop', symptom: 'hum only with a second amplifier or computer', on: 'electric', severity: 'put right', judgedAt: null, causes: [] },
  { rule: 'squeal', symptom: 'squeal that stops with a hand on the cover', on: 'electric', severity: 'put right', judgedAt: null, causes: [] },
  {
    rule: 'weakDull',
    symptom: 'weak and dull at a right resistance',
    on: 'electric',
    severity: 'put right',
    judgedAt: 'pickupHeight',
    causes: ['pickupFar', 'turnsShorted'],
  },
  {
    rule: 'stringWeak',
    symptom: 'one string weak',
    on: 'electric',
    severity: 'put right',
    judgedAt: 'pickupHeight',
    causes: ['polesOff', 'pickupFar', 'breakNut'],
  },
  {
    rule: 'warble',
    symptom: 'low strings warble, sour above the 12th',
    on: 'electric',
    severity: 'put right',
    judgedAt: 'pickupHeight',
    causes: ['pickupNear'],
  },
  { rule: 'toneDead', symptom: 'tone control does nothing', on: 'electric', severity: 'put right', judgedAt: null, causes: [] },
  { rule: 'volumeDull', symptom: 'volume at 0 dull, not silent', on: 'electric', severity: 'put right', judgedAt: null, causes: [] },
  { rule: 'outOfPhase', symptom: 'two pickups together thin', on: 'two pickups', severity: 'put right', judgedAt: null, causes: [] },
  { rule: 'volumesCoupled', symptom: 'either volume silences both together', on: 'two pickups', severity: 'leave', judgedAt: null, causes: [] },
  { rule: 'notReversed', symptom: 'two pickups together hum like one', on: 'two pickups', severity: 'leave', judgedAt: null, causes: [] },
  { rule: 'activeFades', symptom: 'distorts or fades', on: 'active', severity: 'put right', judgedAt: null, causes: ['cellLow'] },
  { rule: 'cellDrains', symptom: 'cell empty in days', on: 'active', severity: 'put right', judgedAt: null, causes: [] },
];

/** What can be heard on this instrument, in the order in which it is asked. */
export function symptomsOf(s: Surveyed): readonly string[] {
  const electric = familyOf(s.kind) !== 'acoustic';
  const there: Readonly<Record<On, boolean>> = {
    every: true,
    electric,
    acoustic: !electric,
    active: s.fitted.includes('active'),
    'two pickups': electric && s.anatomy.positions.length > 1,
  };
  return HEARD.filter((x) => there[x.on]).map((x) => x.symptom);
}
