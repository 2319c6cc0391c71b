import { STATES, type StateId, type StateTarget } from '@rinnovo/core/quantity';
import type { Aim, Difference, Lack, RoundId, RuleId, Severity, Standing, SurveyKind, TypedState, WorkKind } from '@rinnovo/core/survey';
import type { CsvFault, CsvProblem } from '@rinnovo/core/format';
import { lengthText } from './length.js';
import type { LengthUnit } from '@rinnovo/core/measure';
import { nameOf, upperFirst, type Names } from './names.js';

export const SURVEY_KIND_WORDS: Readonly<Record<SurveyKind, string>> = {
  'as found': 'As found',
  'as left': 'As left',
  check: 'A check',
};

export const WORK_KIND_WORDS: Readonly<Record<WorkKind, string>> = {
  setUp: 'Set-up',
  nut: 'Nut',
  neckAngle: 'Neck angle',
  neckReset: 'Neck reset',
  fretEnds: 'Fret ends',
  spotLevel: 'Spot level',
  fullLevel: 'Full level',
  refret: 'Refret',
  pickupSwap: 'Pickup in the same route',
  reroute: 'Re-route',
  shielding: 'Shielding',
  bridgeGlue: 'Bridge glued again',
};

/** Why a reading does not carry the work yet, with a sign of its own. */
export const LACK_WORDS: Readonly<Record<Lack, { readonly word: string; readonly sign: string }>> = {
  absent: { word: 'not read', sign: '○' },
  disagree: { word: 'two readings disagree', sign: '✕' },
  single: { word: 'read once: read it again blind', sign: '◐' },
  uncertain: { word: 'the tool cannot tell: read it finer', sign: '◇' },
  old: { word: 'older than 60 days', sign: '◷' },
};

const CSV_FAULTS: Readonly<Record<CsvFault, (p: CsvProblem) => string>> = {
  noTable: () => 'There is no table in this file',
  noColumn: (p) => `There is no column ${p.column}; quantity, feature and value are needed`,
  unknownQuantity: (p) => `${p.saw || 'nothing'} is no quantity that is read here`,
  noSuchPlace: (p) => `${p.saw || 'nothing'} is no place on this instrument`,
  notANumber: (p) => `${p.saw || 'nothing'} is not a number`,
  cannotBe: (p) => `${p.saw} cannot be`,
  otherUnit: (p) => `${p.saw} is not the unit in which it is kept: convert it first`,
};

/** What is wrong in a line of a table of readings. */
export function csvProblemText(p: CsvProblem): string {
  return `Line ${p.line}: ${CSV_FAULTS[p.fault](p)}`;
}

export const ROUND_WORDS: Readonly<Record<RoundId, { readonly title: string; readonly say: string }>> = {
  stop: { title: 'Stop first', say: 'Any of these: strings off at once, no tuning to pitch, photographs after.' },
  room: { title: 'The room', say: 'Asked once: what is read below is read in it.' },
  played: { title: 'Played', say: 'Strings on, tuned to pitch. What the owner complains of goes into the job.' },
  stringsOn: { title: 'Strings on', say: 'Tuned, in playing position, with a set of known gauge.' },
  closed: { title: 'Electrical, still closed', say: 'All controls full up; hands off the tips; wait three seconds.' },
  stringsOff: { title: 'Strings off', say: 'Rod relaxed. Saddles, springs and screws of one bridge are kept in order.' },
};

interface StateWords {
  readonly name: string;
  /** How it is measured, in two lines. */
  readonly how: readonly [string, string];
}

export const STATE_WORDS: Readonly<Record<StateId, StateWords>> = {
  stopSign: {
    name: 'Sign to stop at',
    how: ['Look and press lightly before anything is tuned.', 'A line that opens under the thumb is no line of the lacquer.'],
  },
  symptom: {
    name: 'Heard while played',
    how: ['Play every string open, at the first frets and from the 12th up.', 'Touch the strings and turn each control while it hums.'],
  },
  humidity: {
    name: 'Relative humidity',
    how: ['Hygrometer beside the instrument for an hour.', 'It is ±3 % at best: check it over a saturated salt slurry, 75 %.'],
  },
  temperature: { name: 'Temperature', how: ['In the shade, where the instrument lies.', 'Cold copper reads low: 0.39 % a degree.'] },
  relief: { name: 'Relief', how: ['String held down at the first and the last fret, feeler at the 7th or 8th.', 'A back bow is typed with a minus.'] },
  action: {
    name: 'Action at the 12th fret',
    how: ['From the crown to the underside of the string, open, in playing position.', 'Tuned to pitch, with the relief as it is.'],
  },
  nutGap: { name: 'Gap over the first fret', how: ['String held down between the 2nd and 3rd fret.', 'Feeler between the first fret and the string.'] },
  saddleTravel: {
    name: 'Saddle travel used',
    how: ['How much of its screw the saddle has used, in hundredths of the way up.', '0 is on the floor, 100 at the top.'],
  },
  edgeGap: {
    name: 'Outer string to the edge of the board',
    how: ['At the last fret, from the string to the edge of the board.', 'Both edges: their difference tells where the neck points.'],
  },
  intonation: { name: 'Intonation at the 12th fret', how: ['Fretted at the 12th against the harmonic there, new strings.', 'Sharp is positive, in cents.'] },
  pickupHeight: { name: 'Pole to string', how: ['String held down at the last fret.', 'From the pole to the underside of the outer string.'] },
  resistance: {
    name: 'Resistance',
    how: ['Across the jack with this pickup alone, all pots full up.', 'Less the resistance of the leads; note the temperature.'],
  },
  groundResistance: { name: 'To the jack’s sleeve', how: ['One probe on the metal, one on the sleeve of the jack.', 'Less the resistance of the leads.'] },
  jointGap: {
    name: 'Gap in the neck joint',
    how: ['The thickest feeler that enters between heel and pocket.', 'Screws tight; a gap that opens under the hand is typed as it opens.'],
  },
  rodTurns: {
    name: 'Turns left on the rod',
    how: ['Turn to the stop by quarter turns and count, then back.', 'A rod that is tight and does nothing is at its end: stop.'],
  },
  fretRock: { name: 'Fret that stands high', how: ['Rocker over three frets; the feeler under its raised end.', 'Nothing rocks: 0, or leave it empty.'] },
  fretHeight: { name: 'Height left of the fret', how: ['From the board beside the fret to its crown.', 'At its lowest place under a string.'] },
  fretEnds: { name: 'Fret ends', how: ['A finger along both edges of the board.', 'In a dry room they wait: two weeks at 50 to 60 % first.'] },
  stringsOverTop: {
    name: 'Strings over the top at the bridge',
    how: ['From the top to the underside of the strings, before the bridge.', 'In the middle of the bridge.'],
  },
  saddleShown: { name: 'Saddle above the bridge', how: ['From the bridge’s top to the crown of the saddle.', 'In the middle.'] },
  planeOverBridge: {
    name: 'Fret plane over the bridge',
    how: ['Straight edge on the frets, reaching to the bridge.', 'Above the bridge’s top positive, below it with a minus.'],
  },
  bridgeLift: {
    name: 'How far a feeler enters under the bridge',
    how: ['A 0.1 feeler, pushed under the back edge without force.', 'Only under the lacquer’s gap: 0.'],
  },
};

/** The answers of a choice as they are read. */
export function choiceText(id: StateId, value: number): string {
  return STATES[id].choices?.[value] ?? String(value);
}

/** A state's value with its unit. */
export function stateText(id: StateId, value: number, unit: LengthUnit): string {
  const q = STATES[id];
  if (q.unit === 'choice') return choiceText(id, value);
  if (q.unit === 'mm') return lengthText(value, unit);
  const places = q.unit === 'kΩ' ? 2 : q.unit === 'turns' ? 2 : q.limit < 1 || !Number.isInteger(value) ? 1 : 0;
  return `${value.toFixed(places).replace('-', '−')} ${q.unit}`;
}

/** `+0.10 mm (± 0.06)`: a change with what both tools can be wrong by; empty where there is none to tell. */
export function changeText({ target, change, limit }: Difference, unit: LengthUnit): string {
  if (change === null || limit === null) return '';
  const size = (v: number): string => stateText(target.quantity, v, unit);
  return `${change < 0 ? '−' : '+'}${size(Math.abs(change))} (± ${size(limit)})`;
}

/** Why a text is no value of a state; null when it is one or there is none. */
export function typedProblem(id: StateId, typed: TypedState, unit: LengthUnit): string | null {
  if (typed.kind !== 'wrong') return null;
  const q = STATES[id];
  if (!('value' in typed)) return typed.because === 'not a length' ? 'Not a length: 1.6, 1/16, 2thou' : `Not a number in ${q.unit}`;
  return `${stateText(id, typed.value, unit)} cannot be: ${stateText(id, q.min, unit)} to ${stateText(id, q.max, unit)}`;
}

/** Where a state is: `string 1 (highest)`, `neck pickup, bass side`. */
export function placeText(t: StateTarget, names: Names): string {
  const q = STATES[t.quantity];
  if (q.of === 'string') return `${t.feature}${t.feature === 'string 1' ? ' (highest)' : ''}`;
  if (q.of === 'pickup') return nameOf(names, t.feature);
  if (q.of === 'pickup side') return `${nameOf(names, t.feature)}, ${t.part ?? ''} side`;
  return t.feature;
}

/** What is read: the quantity, and the place where it has several. */
export function stateTitle(t: StateTarget, names: Names): string {
  const { name } = STATE_WORDS[t.quantity];
  const q = STATES[t.quantity];
  if (q.of === 'sign' || q.of === 'symptom') return upperFirst(t.feature);
  return ['room', 'neck', 'bridge'].includes(q.of) ? name : `${name}, ${placeText(t, names)}`;
}

/** `1.2 to 1.6 mm`, `at most 0.03 mm`; empty where nothing is wanted. */
export function aimText(id: StateId, aim: Aim | null, unit: LengthUnit): string {
  if (!aim || STATES[id].unit === 'choice') return '';
  const text = (v: number): string => stateText(id, v, unit);
  if (aim.min !== null && aim.max !== null) return `${text(aim.min)} to ${text(aim.max)}`;
  if (aim.min !== null) return `at least ${text(aim.min)}`;
  return aim.max !== null ? `at most ${text(aim.max)}` : '';
}

/** One word and one sign for how a value stands: shape and word carry it. */
export const STANDING_WORDS: Readonly<Record<Standing, { readonly word: string; readonly sign: string }>> = {
  within: { word: 'as wished', sign: '●' },
  low: { word: 'too low', sign: '▼' },
  high: { word: 'too high', sign: '▲' },
  atEdge: { word: 'at the edge: nearer than the tool can tell', sign: '◇' },
};

export const SEVERITY_WORDS: Readonly<Record<Severity, { readonly word: string; readonly sign: string }>> = {
  stop: { word: 'stop', sign: '■' },
  'put right': { word: 'put right', sign: '✕' },
  watch: { word: 'watch', sign: '◐' },
  leave: { word: 'safe to leave', sign: '○' },
};

/** What a finding is, what is tried first, and what is to be excluded before. */
export const FINDING_WORDS: Readonly<Record<RuleId, { readonly is: string; readonly remedy: string; readonly exclude: string }>> = {
  stopNow: {
    is: 'A sign to stop at',
    remedy: 'Strings off, nothing tuned; photographs; then the repair by itself.',
    exclude: 'A tingle: unplug, and a licensed person looks at outlet and amplifier.',
  },
  roomDry: {
    is: 'The room is too dry',
    remedy: 'Two weeks at 45 to 55 % before neck, top and fret ends are judged.',
    exclude: 'The hygrometer: over a salt slurry it reads 75 %.',
  },
  roomWet: {
    is: 'The room is too damp',
    remedy: 'Two weeks at 45 to 55 % before neck and top are judged; no top is glued above 60 %.',
    exclude: 'The hygrometer: over a salt slurry it reads 75 %.',
  },
  jointOpen: {
    is: 'The neck joint is open',
    remedy: 'Screws tight, pocket clean, then the gap is read again.',
    exclude: 'A line of lacquer that does not move on flexing.',
  },
  neckBeyondRod: {
    is: 'More bow than a rod is for',
    remedy: 'No set-up: the neck itself is looked at, strings slack.',
    exclude: 'A rod that was never tightened.',
  },
  backBow: {
    is: 'Back bow',
    remedy: 'Slacken the rod by an eighth of a turn, wait, read again; slack already: the neck itself.',
    exclude: 'A high fret near the nut, and the room.',
  },
  reliefLow: {
    is: 'Too little relief',
    remedy: 'Slacken the rod by an eighth of a turn, wait, read again.',
    exclude: 'A high fret near the nut, and the room.',
  },
  reliefHigh: { is: 'Too much relief', remedy: 'Tighten the rod by an eighth to a quarter turn, wait, read again.', exclude: 'A hump at the body end.' },
  rodAtEnd: {
    is: 'The rod is at its end',
    remedy: 'Stop turning: washers or a longer thread, else the neck itself.',
    exclude: 'A rod that turns freely and holds nothing.',
  },
  fullLevel: {
    is: 'Many frets stand high',
    remedy: 'Full level, crowned and polished, with the neck set straight.',
    exclude: 'Loose frets: press each before any file.',
  },
  spotLevel: { is: 'A fret stands high', remedy: 'Level it by itself.', exclude: 'A loose fret: press it; clamp and thin CA come before any file.' },
  refret: { is: 'Frets are worn out', remedy: 'Refret.', exclude: 'Only one or two: replace those.' },
  oneLevelLeft: {
    is: 'One light level is left in the frets',
    remedy: 'Leave them, or one light level.',
    exclude: 'Measured at the lowest place, not beside it.',
  },
  fretEndsDry: {
    is: 'Fret ends stand out: the board shrank',
    remedy: 'Two weeks at 50 to 60 %, then felt again and only then filed.',
    exclude: 'The room has to be right before anything is filed.',
  },
  fretEndsLumps: { is: 'Lumps of finish on the fret ends', remedy: 'Chip them off and smooth; no sanding of a lacquered edge.', exclude: 'A lifted fret.' },
  fretEndsBevel: { is: 'Some fret ends are sharp', remedy: 'File them under the file’s own weight, the board taped.', exclude: 'A lifted fret.' },
  nutHigh: { is: 'Nut slots are high', remedy: 'Cut them down, falling back, by hundredths.', exclude: 'Finger pressure; relief has to be right.' },
  nutLow: { is: 'A nut slot is low', remedy: 'Fill it or shim the nut.', exclude: 'A kinked string.' },
  neckAngle: { is: 'The neck’s angle is too flat', remedy: 'A shim at the deep end of the pocket.', exclude: 'A bulged pocket, loose screws.' },
  overAngled: { is: 'The neck’s angle is too steep', remedy: 'A thinner shim.', exclude: 'The bridge’s own height.' },
  saddleAtEnd: { is: 'A saddle is at the end of its way', remedy: 'Look at the neck’s angle before the saddle.', exclude: 'A screw of the wrong length.' },
  actionHigh: { is: 'Action is high', remedy: 'Lower the saddle.', exclude: 'Relief and nut first.' },
  actionLow: { is: 'Action is low', remedy: 'Raise the saddle.', exclude: 'A back bow; on an acoustic a top that sank.' },
  neckReset: { is: 'The neck needs a reset', remedy: 'Refer it, or reset: heel cut by the sum.', exclude: 'A dry or wet top, relief.' },
  topSunken: { is: 'The top lies low', remedy: 'Humidify, then judge again.', exclude: 'Loose braces.' },
  bridgeLifting: { is: 'The bridge lifts', remedy: 'Strings slack; it is taken off clean and glued again.', exclude: 'Only a gap in the lacquer.' },
  neckShifted: { is: 'The neck points to one side', remedy: 'Slacken the screws, nudge it, tighten.', exclude: 'Nut spacing, saddles.' },
  edgeNarrow: { is: 'A string is near the edge of the board', remedy: 'Nut or saddle spacing.', exclude: 'A neck that points to one side.' },
  pickupNear: { is: 'A pickup is near its strings', remedy: 'Lower it, before intonation.', exclude: 'Old strings.' },
  pickupFar: { is: 'A pickup is far from its strings', remedy: 'Raise it, before intonation.', exclude: 'A weak magnet.' },
  intonationOff: { is: 'Intonation is off', remedy: 'Move the saddle, with new strings.', exclude: 'Nut, relief and action first; a string’s age.' },
  coilOpen: { is: 'A pickup reads open', remedy: 'Meter its leads at the switch.', exclude: 'A dirty contact.' },
  coilShorted: {
    is: 'A pickup reads shorted',
    remedy: 'Lift the jack’s hot wire and read again.',
    exclude: 'Volume at 0, a kill switch, the tip touching a shield.',
  },
  setUneven: {
    is: 'The neck’s pickup reads above the bridge’s',
    remedy: 'None: ohms are not output. Compare inductance where a meter has it.',
    exclude: 'Pickups of different wire.',
  },
  groundOpen: { is: 'A metal part does not reach the sleeve', remedy: 'A wire from it to the sleeve.', exclude: 'Lacquer on the hardware under the probe.' },
  buzzOpen: { is: 'Open strings buzz', remedy: 'Look at the nut slots.', exclude: 'A kinked string.' },
  buzzLowFrets: { is: 'It buzzes at the first frets', remedy: 'Look at the relief.', exclude: 'A high fret there, the room.' },
  buzzHighFrets: {
    is: 'It buzzes from the 12th up',
    remedy: 'Look at relief and the body end of the board.',
    exclude: 'The last frets loose, the neck’s angle.',
  },
  buzzOneNote: { is: 'One note buzzes', remedy: 'Rocker over the next fret; press it.', exclude: 'A loose fret.' },
  sourFirst: { is: 'First-position chords are sour', remedy: 'Look at the nut slots.', exclude: 'Finger pressure.' },
  allSharp: { is: 'All fretted notes are sharp alike', remedy: 'A filler strip before the nut, by the sum.', exclude: 'The saddle.' },
  stringSlips: { is: 'The first string slips off the board', remedy: 'Look at the neck’s direction.', exclude: 'Nut spacing, saddle.' },
  sharpAfterBend: { is: 'It returns sharp', remedy: 'Dress and lubricate nut and tree.', exclude: 'Wraps on the post.' },
  crackle: { is: 'A control crackles', remedy: 'Contact spray, twenty turns.', exclude: 'DC on the pot: an active circuit that leaks.' },
  humFalls: { is: 'Hum falls on touching the strings', remedy: 'The string ground works; shield, if it is to be less.', exclude: 'A dimmer or a lamp.' },
  humStays: { is: 'Hum does not fall on touching the strings', remedy: 'From the bridge to the sleeve with a meter.', exclude: 'Lacquered hardware.' },
};
