import { STATES, type StateId, type StateTarget } from '@rinnovo/core/quantity';
import type { Aim, Difference, Lack, RoundId, RuleId, Severity, Standing, SurveyKind, TypedState, WorkKind } from '@rinnovo/core/survey';
import { improbable } from '@rinnovo/core/survey';
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

export const ROUND_WORDS: Readonly<Record<RoundId, { readonly title: string; readonly say: string }>> = {
  stop: { title: 'Stop first', say: 'Any of these: strings off at once, no tuning to pitch, photographs after.' },
  room: { title: 'The room', say: 'Asked once: what is read below is read in it.' },
  played: { title: 'Played', say: 'Strings on, tuned to pitch. What the owner complains of goes into the job.' },
  stringsOn: { title: 'Strings on', say: 'Tuned, in playing position, with a set of known gauge.' },
  closed: { title: 'Electrical, still closed', say: 'All controls full up; hands off the tips; wait three seconds.' },
  opened: { title: 'Opened', say: 'Wiring is photographed and sketched before a wire is cut. What no step asks goes into Findings as your own.' },
  finish: { title: 'Finish', say: 'Under a raking light. What no step asks goes into Findings as your own.' },
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
  reliefTreble: {
    name: 'Relief on the treble side',
    how: ['The first string held down at the first and the last fret.', 'More than 0.15 mm beside the bass side is twist.'],
  },
  reliefAt: {
    name: 'Relief along the neck',
    how: ['Straight edge over the first and the last fret.', 'Feeler at each of these frets: the curve of the neck.'],
  },
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
  rodFeel: { name: 'Does the rod bite', how: ['Strings slack, an eighth of a turn each way.', 'One that turns freely and changes nothing is left alone.'] },
  looseFrets: { name: 'Loose frets', how: ['Press the ends of each fret, tap along it.', 'A loose one moves, or taps dull: before any file.'] },
  jointLine: {
    name: 'Line at the neck joint',
    how: ['Light along the corner of the pocket or the heel.', 'Flex the neck gently: lacquer does not move, wood opens.'],
  },
  screws: { name: 'Screws', how: ['Each turned back until it drops into its thread, then home by hand.', 'None is forced.'] },
  finish: { name: 'Finish', how: ['A raking light over every face.', 'A finger where a stand or a strap sat.'] },
  topShape: { name: 'Shape of the top', how: ['A straight edge across the top behind and before the bridge.', 'A mirror inside shows the braces.'] },
  topCrack: { name: 'Cracks in the top', how: ['Press lightly beside the line.', 'In dry air it opens, in damp air it closes.'] },
  tremoloRest: {
    name: 'Where the tremolo comes to rest',
    how: ['Tuned; a dive, then the tuner; a pull, then the tuner.', 'The arm is off before the body is turned over.'],
  },
  poleOffset: {
    name: 'Outer pole beside its string',
    how: ['Looking straight down on the pickup.', 'How far the outer string runs beside the middle of its pole.'],
  },
  breakAngle: {
    name: 'Break angle',
    how: ['How far the string turns down behind the nut and behind the saddle.', 'Against the paper angles of a set square.'],
  },
  tuners: { name: 'Tuners', how: ['Turn each by hand both ways, pull on its post.', 'Screws and bushings with the right key, by hand.'] },
  tapTest: {
    name: 'Tap test',
    how: ['Through a small amplifier turned low, a screwdriver touched to the poles.', 'One that is silent is open, shorted, or not chosen.'],
  },
  shieldResistance: {
    name: 'Shield from corner to corner',
    how: ['Probes flat in two far corners of the cavity.', 'Paint under 10 kΩ screens; for a return path a wire goes beside it.'],
  },
  supply: { name: 'Supply under load', how: ['At the preamp’s terminals, plugged in and switched on.', 'A cell without load tells nothing.'] },
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
  const places = q.unit === 'kΩ' || q.unit === 'V' ? 2 : q.unit === 'turns' ? 2 : q.limit < 1 || !Number.isInteger(value) ? 1 : 0;
  return `${value.toFixed(places).replace('-', '−')} ${q.unit}`;
}

/** What is said to a value that hardly can be; null where there is nothing to challenge. */
export function improbableText(id: StateId, value: number, unit: LengthUnit): string | null {
  const found = improbable(id, value);
  if (!found) return null;
  const said = `${stateText(id, value, unit)} is improbable`;
  return found.meant === null ? said : `${said}: meant ${stateText(id, found.meant, unit)}?`;
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
  if (q.of === 'pickup' || q.of === 'cavity') return nameOf(names, t.feature);
  if (q.of === 'pickup side') return `${nameOf(names, t.feature)}, ${t.part ?? ''} side`;
  return t.feature;
}

/** What is read: the quantity, and the place where it has several. */
export function stateTitle(t: StateTarget, names: Names): string {
  const { name } = STATE_WORDS[t.quantity];
  const q = STATES[t.quantity];
  if (q.of === 'sign' || q.of === 'symptom') return upperFirst(t.feature);
  return ['room', 'neck', 'bridge', 'body', 'tremolo', 'battery'].includes(q.of) ? name : `${name}, ${placeText(t, names)}`;
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
  polesOff: {
    is: 'Poles do not lie under the strings',
    remedy: 'A pickup of another spacing.',
    exclude: 'A neck that points to one side; a rail under all strings.',
  },
  tunersLoose: { is: 'A tuner has play', remedy: 'Screws and bushings firm, by hand; a worn gear is replaced.', exclude: 'Wraps that slip on the post.' },
  tapSilent: { is: 'A pickup is silent to the tap', remedy: 'Meter its leads at the switch.', exclude: 'Another position chosen; its volume at 0.' },
  shieldOpen: { is: 'A shield does not conduct', remedy: 'Another coat, or foil; a ground wire to each cavity.', exclude: 'Probes on lacquer.' },
  breakShallow: { is: 'The break over the saddle is shallow', remedy: 'Look at the neck’s angle and the saddle’s height.', exclude: 'String ramps.' },
  twist: { is: 'Relief differs from side to side', remedy: 'Winding sticks: see whether the neck is twisted.', exclude: 'Frets worn unevenly.' },
  rodFree: {
    is: 'The rod turns freely and changes nothing',
    remedy: 'Stop turning and look: broken, unanchored, or at its end.',
    exclude: 'Washers missing under the nut.',
  },
  fretsLoose: { is: 'Frets are loose', remedy: 'Clamp them down with thin CA, before any file.', exclude: 'A dull tap from a cavity under the board.' },
  jointLine: { is: 'A line in the lacquer at the joint', remedy: 'Record it; nothing is done.', exclude: 'One that opens on flexing is wood.' },
  jointLineOpens: {
    is: 'A crack in the wood at the joint',
    remedy: 'Strings slack; the repair by itself, before any set-up.',
    exclude: 'A line of lacquer, which does not move.',
  },
  screwStripped: { is: 'A screw has no thread left', remedy: 'A plug across the grain, a new pilot.', exclude: 'A screw too short, or in a clearance hole.' },
  screwBinds: { is: 'A screw stops before its seat', remedy: 'Out again; bore the pilot to depth, wax the thread.', exclude: 'A crossed thread.' },
  finishTacky: {
    is: 'The finish is tacky where something sat on it',
    remedy: 'Clean it; keep the plasticiser of stand or strap away.',
    exclude: 'A finish that has not cured.',
  },
  finishBloom: { is: 'White bloom in the finish', remedy: 'Drier air, a retarder; then see whether it goes.', exclude: 'Wax or polish.' },
  finishCraters: { is: 'Craters in the finish', remedy: 'Clean, seal with shellac, coat again.', exclude: 'Oil in the air line.' },
  bellyUp: { is: 'The top has a belly behind the bridge', remedy: 'Mirror and lamp: top, bridge plate or braces.', exclude: 'Humidity; strings too heavy.' },
  crackMoves: { is: 'A crack in the top opens and closes', remedy: 'Humidify, then glue and cleat.', exclude: 'Never force it closed dry.' },
  tremoloSticks: { is: 'The tremolo sticks at its pivot', remedy: 'Dress and lubricate the knife edges.', exclude: 'The nut: it sticks in the same way.' },
  cellLow: { is: 'The supply is low under load', remedy: 'A new cell.', exclude: 'The clip, the polarity.' },
  bodyBuzz: { is: 'Something buzzes at one pitch', remedy: 'Tap and hold a finger on spots: brace, label, rod, cable.', exclude: 'A buzz of the frets.' },
  sitar: { is: 'An open string sounds like a sitar', remedy: 'Cut the slot again, falling back from its front edge.', exclude: 'A saddle worn flat.' },
  flatAfterBend: {
    is: 'It returns flat after a bend',
    remedy: 'Restring and stretch; look for slipping wraps and play in the tuner.',
    exclude: 'Neck screws, saddle.',
  },
  deadNote: {
    is: 'A note is dead though the frets are clean',
    remedy: 'None: a clamp on the headstock moves it. Explain; mass shifts it.',
    exclude: 'A buzz, a loose fret.',
  },
  neckRattle: { is: 'Something rattles in the neck', remedy: 'Light tension on the rod.', exclude: 'A nut, a ferrule, a tuner’s screw.' },
  stringsBreak: { is: 'Strings break at one place', remedy: 'Find the burr and polish it.', exclude: 'Age and gauge of the strings.' },
  knobScrapes: { is: 'A pot turns with its knob', remedy: 'Hold it from inside, nut and washer tight.', exclude: 'Wires that were twisted round it.' },
  plugLoose: { is: 'The signal dies when the plug moves', remedy: 'Bend the jack’s leaf, reflow its joints.', exclude: 'Another cable first.' },
  hotOnMetal: { is: 'Hum rises on touching metal', remedy: 'Hot and ground exchanged at the jack or at a pickup: exchange them.', exclude: 'The cable.' },
  humNulls: {
    is: 'The hum is magnetic',
    remedy: 'Move away from its source, or hum-cancelling pickups; no shield stops it.',
    exclude: 'Do not sell shielding for it.',
  },
  earthLoop: { is: 'Hum only with a second mains device', remedy: 'Isolate the signal.', exclude: 'Never lift the earth: mains is for a licensed person.' },
  squeal: { is: 'A pickup is microphonic', remedy: 'Secure cover and springs with foam, then wax.', exclude: 'Feedback of the room.' },
  weakDull: {
    is: 'A pickup is weak at a right resistance',
    remedy: 'Compare inductance and field with its twin: shorted turns or a weak magnet.',
    exclude: 'Height, tone capacitor.',
  },
  stringWeak: { is: 'One string is weak', remedy: 'Pole onto the string’s axis, height.', exclude: 'A dead string, a weak rod.' },
  warble: { is: 'Magnets pull the low strings', remedy: 'Lower the bass side.', exclude: 'Old strings.' },
  toneDead: {
    is: 'The tone control does nothing',
    remedy: '22 nF clipped across: if it works then, the capacitor is open.',
    exclude: 'A pot without load at 10.',
  },
  volumeDull: { is: 'Volume at 0 is dull, not silent', remedy: 'Reflow the lug’s ground.', exclude: 'Blend or independent wiring.' },
  outOfPhase: { is: 'Two pickups are out of phase', remedy: 'Exchange one pickup’s leads.', exclude: 'A cover on its ground lead; magnets reversed.' },
  notReversed: { is: 'The pair is not reversed', remedy: 'Accept it, or magnet and leads of one.', exclude: 'Unequal volumes.' },
  activeFades: { is: 'The active circuit distorts or fades', remedy: 'A new cell.', exclude: 'The clip, the polarity.' },
  cellDrains: {
    is: 'The cell is empty in days',
    remedy: 'See whether the jack’s ring contact opens; measure the current unplugged.',
    exclude: 'A plug left in.',
  },
  humStays: { is: 'Hum does not fall on touching the strings', remedy: 'From the bridge to the sleeve with a meter.', exclude: 'Lacquered hardware.' },
};
