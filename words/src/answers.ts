import { STATES, type StateId } from '@rinnovo/core/quantity';

/** Signs at which the strings come off at once, by what a reading calls them. */
export const SIGN_WORDS: Readonly<Record<string, string>> = {
  'headstock break': 'Broken headstock',
  'loose neck joint': 'Loose neck joint',
  'rod at its end': 'Truss rod at its end',
  'lifting bridge': 'Lifting bridge',
  'sinking top': 'Sinking top',
  'tingle from the strings': 'Tingle from the strings',
};

/** What is heard or felt while it is played, by what a reading calls it. */
export const SYMPTOM_WORDS: Readonly<Record<string, string>> = {
  'buzz on open strings only': 'Buzz on open strings only',
  'buzz at frets 1 to 5': 'Buzz at frets 1 to 5',
  'buzz from the 12th up': 'Buzz from the 12th fret up',
  'buzz at one note': 'Buzz on one note',
  'buzz everywhere': 'Buzz everywhere',
  'intonation that changes as the strings age': 'Intonation changes as the strings age',
  'one string quiet through the piezo': 'One string quiet through the piezo',
  'silent only with its cover on': 'Pickup silent only with its cover on',
  'either volume silences both together': 'Either volume silences both together',
  'buzz at one pitch on any string': 'Buzz at one pitch on any string',
  'sitar tone on an open string': 'Sitar tone on an open string',
  'sour first-position chords': 'First-position chords out of tune',
  'all fretted notes sharp alike': 'All fretted notes equally sharp',
  'first string slips off': 'First string slips off the fingerboard',
  'sharp after a bend or dive': 'Sharp after a bend or dive',
  'flat after a bend': 'Flat after a bend',
  'dead note with clean frets': 'Dead note with sound frets',
  'rattle in the neck': 'Rattle in the neck',
  'strings break at one place': 'Strings break at one place',
  'crackle on turning': 'Crackle when a control turns',
  'knob scrapes, pot turns with it': 'Knob scrapes, pot turns with it',
  'dies when the plug moves': 'Signal drops when the plug moves',
  'hum that falls on touching strings': 'Hum drops when touching the strings',
  'hum that does not fall on touching strings': 'Hum does not drop when touching the strings',
  'hum that rises on touching any metal': 'Hum rises when touching metal',
  'hum that nulls as it is turned': 'Hum nulls when the instrument turns',
  'hum only with a second amplifier or computer': 'Hum only with a second amplifier or computer',
  'squeal that stops with a hand on the cover': 'Squeal that stops with a hand on the cover',
  'weak and dull at a right resistance': 'Weak and dull at the right resistance',
  'one string weak': 'One weak string',
  'low strings warble, sour above the 12th': 'Low strings warble above the 12th fret',
  'tone control does nothing': 'Tone control has no effect',
  'volume at 0 dull, not silent': 'Volume at 0 is dull, not silent',
  'two pickups together thin': 'Two pickups together sound thin',
  'two pickups together hum like one': 'Two pickups together hum like one',
  'distorts or fades': 'Distorts or fades',
  'cell empty in days': 'Battery empty within days',
};

/** The answers of a choice, in the order of their numbers. */
const ANSWERS: Readonly<Partial<Record<StateId, readonly string[]>>> = {
  stopSign: ['no', 'yes'],
  symptom: ['no', 'yes'],
  fretEnds: ['smooth', 'lumps of finish', 'sharp along both sides', 'sharp on one side or a few'],
  rodFeel: ['rod responds', 'turns freely without effect'],
  looseFrets: ['none moves', 'one or more move or sound dull'],
  jointLine: ['none', 'line that stays closed', 'line that opens on flexing'],
  screws: ['all hold', 'one turns without gripping', 'one stops hard before its seat', 'a new bushing drops in'],
  finish: ['sound', 'tacky where a stand or strap has been', 'white bloom', 'craters'],
  topShape: ['as built', 'belly behind the bridge, dip in front'],
  topCrack: ['none', 'crack that opens and closes'],
  tremoloRest: ['returns to pitch', 'sharp from a dive, flat from a pull'],
  tuners: ['firm', 'one has play or slips', 'a screw or bushing is loose'],
  splitState: ['both coils', 'split', 'coils in parallel'],
  saddleRoom: ['room both ways', 'at its end, towards the nut', 'at its end, away from the nut'],
  tapTest: ['heard', 'silent'],
};

/** The answers that a choice offers; null for what is a number. */
export function answersOf(id: StateId): readonly string[] | null {
  return STATES[id].choices ? (ANSWERS[id] ?? STATES[id].choices) : null;
}

/** The answer of a choice as it is read. */
export function choiceText(id: StateId, value: number): string {
  return answersOf(id)?.[value] ?? String(value);
}
