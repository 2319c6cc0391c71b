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

const h = (rule: RuleId, symptom: string, on: On, severity: Severity, judgedAt: StateId | null, ...causes: readonly RuleId[]): Heard => ({
  rule,
  symptom,
  on,
  severity,
  judgedAt,
  causes,
});

/** What is asked while it is played: first what every instrument has, then what is electrical [trade: docs/trade/survey.md, heard while played]. */
export const HEARD: readonly Heard[] = [
  h('buzzOpen', 'buzz on open strings only', 'every', 'put right', 'nutGap', 'nutLow'),
  h('buzzLowFrets', 'buzz at frets 1 to 5', 'every', 'put right', 'relief', 'backBow', 'reliefLow', 'spotLevel', 'fullLevel'),
  h('buzzHighFrets', 'buzz from the 12th up', 'every', 'put right', 'relief', 'reliefHigh', 'jointOpen', 'fretsLoose', 'fullLevel', 'spotLevel'),
  h('buzzOneNote', 'buzz at one note', 'every', 'put right', 'fretRock', 'fretsLoose', 'spotLevel', 'fullLevel'),
  h('bodyBuzz', 'buzz at one pitch on any string', 'acoustic', 'put right', null),
  h('sitar', 'sitar tone on an open string', 'every', 'put right', 'nutGap'),
  h('sourFirst', 'sour first-position chords', 'every', 'put right', 'nutGap', 'nutHigh'),
  h('allSharp', 'all fretted notes sharp alike', 'every', 'put right', 'nutGap', 'nutHigh'),
  h('stringSlips', 'first string slips off', 'every', 'put right', null, 'neckShifted', 'edgeNarrow'),
  h('sharpAfterBend', 'sharp after a bend or dive', 'every', 'put right', 'nutGap'),
  h('flatAfterBend', 'flat after a bend', 'every', 'put right', null, 'tunersLoose', 'jointOpen'),
  h('deadNote', 'dead note with clean frets', 'every', 'leave', 'fretRock', 'fretsLoose'),
  h('neckRattle', 'rattle in the neck', 'every', 'put right', null, 'rodFree'),
  h('stringsBreak', 'strings break at one place', 'every', 'put right', null),
  h('crackle', 'crackle on turning', 'electric', 'put right', null),
  h('knobScrapes', 'knob scrapes, pot turns with it', 'electric', 'put right', null),
  h('plugLoose', 'dies when the plug moves', 'electric', 'put right', null),
  h('humFalls', 'hum that falls on touching strings', 'electric', 'leave', null),
  h('humStays', 'hum that does not fall on touching strings', 'electric', 'put right', null, 'groundOpen'),
  h('hotOnMetal', 'hum that rises on touching any metal', 'electric', 'put right', null),
  h('humNulls', 'hum that nulls as it is turned', 'electric', 'leave', null),
  h('earthLoop', 'hum only with a second amplifier or computer', 'electric', 'put right', null),
  h('squeal', 'squeal that stops with a hand on the cover', 'electric', 'put right', null),
  h('weakDull', 'weak and dull at a right resistance', 'electric', 'put right', 'pickupHeight', 'pickupFar'),
  h('stringWeak', 'one string weak', 'electric', 'put right', 'pickupHeight', 'polesOff', 'pickupFar'),
  h('warble', 'low strings warble, sour above the 12th', 'electric', 'put right', 'pickupHeight', 'pickupNear'),
  h('toneDead', 'tone control does nothing', 'electric', 'put right', null),
  h('volumeDull', 'volume at 0 dull, not silent', 'electric', 'put right', null),
  h('outOfPhase', 'two pickups together thin', 'two pickups', 'put right', null),
  h('notReversed', 'two pickups together hum like one', 'two pickups', 'leave', null),
  h('activeFades', 'distorts or fades', 'active', 'put right', null, 'cellLow'),
  h('cellDrains', 'cell empty in days', 'active', 'put right', null),
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
