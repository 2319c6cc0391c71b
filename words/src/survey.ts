import { STATES, type StateId, type StateTarget } from '@rinnovo/core/quantity';
import type { Aim, Difference, Lack, RoundId, RuleId, Severity, Standing, SurveyKind, TypedState, WorkKind } from '@rinnovo/core/survey';
import { improbable } from '@rinnovo/core/survey';
import { choiceText, SIGN_WORDS, SYMPTOM_WORDS } from './answers.js';
import { lengthText } from './length.js';
import type { LengthUnit } from '@rinnovo/core/measure';
import { nameOf, type Names } from './names.js';
import { fixed, withUnit } from './locale.js';

export const SURVEY_KIND_WORDS: Readonly<Record<SurveyKind, string>> = {
  'as found': 'As found',
  'as left': 'As left',
  check: 'Check',
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
  pickupSwap: 'Pickup swap in the same route',
  reroute: 'Re-route',
  shielding: 'Shielding',
  bridgeGlue: 'Bridge reglue',
};

/** Why a reading does not carry the work yet, with a sign of its own. */
export const LACK_WORDS: Readonly<Record<Lack, { readonly word: string; readonly sign: string }>> = {
  absent: { word: 'not read', sign: '○' },
  disagree: { word: 'two readings disagree', sign: '✕' },
  single: { word: 'read once: take a second, blind reading', sign: '◐' },
  uncertain: { word: 'too close for this tool: use a finer one', sign: '◇' },
  old: { word: 'older than 60 days', sign: '◷' },
};

export const ROUND_WORDS: Readonly<Record<RoundId, { readonly title: string; readonly say: string }>> = {
  stop: { title: 'Stop first', say: 'With any of these, remove the strings at once. Do not tune up. Take photographs afterwards.' },
  room: { title: 'The room', say: 'Once for the whole survey.' },
  played: { title: 'Played', say: 'Strings on, tuned to pitch. Add the owner’s complaints to the job.' },
  stringsOn: { title: 'Strings on', say: 'Tuned, in playing position, with strings of known gauge.' },
  closed: { title: 'Electrical, closed', say: 'All controls fully up. Keep hands off the probe tips. Wait three seconds.' },
  opened: { title: 'Opened', say: 'Photograph and sketch the wiring before cutting a wire. Add anything else to Findings.' },
  finish: { title: 'Finish', say: 'Use a raking light. Add anything else to Findings.' },
  stringsOff: { title: 'Strings off', say: 'Rod relaxed. Keep saddles, springs and screws of a bridge in order.' },
};

interface StateWords {
  readonly name: string;
  /** How it is measured, in two lines. */
  readonly how: readonly [string, string];
}

export const STATE_WORDS: Readonly<Record<StateId, StateWords>> = {
  stopSign: {
    name: 'Stop sign',
    how: ['Look and press lightly before tuning.', 'A line that opens under the thumb is a crack in the wood.'],
  },
  symptom: {
    name: 'Symptom while played',
    how: ['Play every string open, at the first frets and from the 12th up.', 'While it hums, touch the strings and turn each control.'],
  },
  humidity: {
    name: 'Relative humidity',
    how: ['Leave the hygrometer beside the instrument for an hour.', '±3 % at best. Check it over a saturated salt slurry (75 %).'],
  },
  temperature: { name: 'Temperature', how: ['In the shade, beside the instrument.', 'Cold copper reads low: 0.39 % per °C.'] },
  relief: { name: 'Relief', how: ['Hold the string down at the first and last fret. Feeler at the 7th or 8th.', 'Type a back bow with a minus.'] },
  reliefTreble: {
    name: 'Relief on the treble side',
    how: ['Hold the first string down at the first and last fret.', 'More than 0.15 mm from the bass side is twist.'],
  },
  reliefAt: {
    name: 'Relief along the neck',
    how: ['Straight edge over the first and last fret.', 'Feeler at each of these frets.'],
  },
  action: {
    name: 'Action at the 12th fret',
    how: ['From the fret crown to the underside of the open string, in playing position.', 'Tuned to pitch.'],
  },
  nutGap: { name: 'Gap over the first fret', how: ['Hold the string down between the 2nd and 3rd fret.', 'Feeler between the first fret and the string.'] },
  saddleTravel: {
    name: 'Saddle travel used',
    how: ['The used part of the travel, in percent.', '0 is the lowest position, 100 the highest.'],
  },
  edgeGap: {
    name: 'Outer string to the edge of the fingerboard',
    how: ['At the last fret, from the string to the edge of the fingerboard.', 'The difference between both edges shows where the neck points.'],
  },
  intonation: { name: 'Intonation at the 12th fret', how: ['Compare the note fretted at the 12th with the harmonic. Use new strings.', 'Sharp is positive.'] },
  pickupHeight: { name: 'Pole to string', how: ['Hold the string down at the last fret.', 'From the pole to the underside of the outer string.'] },
  resistance: {
    name: 'Resistance',
    how: ['Across the jack, this pickup alone, all pots fully up.', 'Subtract the resistance of the test leads. Note the temperature.'],
  },
  groundResistance: {
    name: 'Resistance to the sleeve of the jack',
    how: ['One probe on the metal, one on the sleeve of the jack.', 'Subtract the resistance of the test leads.'],
  },
  jointGap: {
    name: 'Gap in the neck joint',
    how: ['The thickest feeler that enters between heel and neck pocket.', 'Screws tight. If the gap opens under the hand, type the open gap.'],
  },
  rodTurns: {
    name: 'Remaining rod turns',
    how: ['Count quarter turns to the stop, then turn back.', 'Stop if the rod is tight and has no effect: it is at its end.'],
  },
  fretRock: { name: 'High fret', how: ['Rocker over three frets, feeler under its raised end.', 'No rocking: type 0, or leave it empty.'] },
  fretHeight: { name: 'Remaining fret height', how: ['From the fingerboard beside the fret to its crown.', 'At the lowest point under a string.'] },
  fretEnds: { name: 'Fret ends', how: ['Run a finger along both edges of the fingerboard.', 'In a dry room, first wait two weeks at 50 to 60 %.'] },
  stringsOverTop: {
    name: 'String height over the top at the bridge',
    how: ['From the top to the underside of the strings, in front of the bridge.', 'In the middle of the bridge.'],
  },
  saddleShown: { name: 'Saddle height above the bridge', how: ['From the top of the bridge to the crown of the saddle.', 'In the middle.'] },
  planeOverBridge: {
    name: 'Fret plane over the bridge',
    how: ['Straight edge on the frets, reaching to the bridge.', 'Above the top of the bridge is positive, below is negative.'],
  },
  bridgeLift: {
    name: 'Feeler depth under the bridge',
    how: ['Push a 0.1 mm feeler under the back edge without force.', 'If it enters only the gap in the lacquer, type 0.'],
  },
  rodFeel: { name: 'Rod response', how: ['Strings slack, an eighth of a turn each way.', 'Leave a rod alone that turns freely without effect.'] },
  looseFrets: { name: 'Loose frets', how: ['Press the ends of each fret and tap along it.', 'A loose fret moves or sounds dull. Check before any filing.'] },
  jointLine: {
    name: 'Line at the neck joint',
    how: [
      'Shine a light along the corner of the neck pocket or the heel.',
      'Flex the neck gently. A line in the lacquer stays closed, a crack in the wood opens.',
    ],
  },
  screws: { name: 'Screws', how: ['Turn each back until it drops into its thread, then drive it by hand.', 'Force none.'] },
  finish: { name: 'Finish', how: ['Use a raking light on every face.', 'Feel where a stand or a strap has been.'] },
  topShape: { name: 'Shape of the top', how: ['Straight edge across the top, behind and in front of the bridge.', 'Check the braces with a mirror.'] },
  topCrack: { name: 'Cracks in the top', how: ['Press lightly beside the line.', 'A crack opens in dry air and closes in damp air.'] },
  tremoloRest: {
    name: 'Tremolo return',
    how: ['Tune. Dive and read the tuner. Pull and read the tuner.', 'Remove the arm before turning the body over.'],
  },
  poleOffset: {
    name: 'Outer pole offset from its string',
    how: ['Look straight down on the pickup.', 'Distance from the outer string to the centre of its pole.'],
  },
  breakAngle: {
    name: 'Break angle',
    how: ['Angle of the string behind the nut and behind the saddle.', 'Compare with the angles of a set square.'],
  },
  tuners: { name: 'Tuners', how: ['Turn each by hand both ways and pull on its post.', 'Check screws and bushings by hand.'] },
  tapTest: {
    name: 'Tap test',
    how: ['Plug into an amplifier turned low. Tap the poles with a screwdriver.', 'A silent pickup is open, shorted, or not selected.'],
  },
  shieldResistance: {
    name: 'Shield resistance, corner to corner',
    how: ['Hold the probes flat in two far corners of the cavity.', 'Paint under 10 kΩ shields. A return path needs a wire beside it.'],
  },
  supply: { name: 'Supply under load', how: ['At the preamp terminals, plugged in and switched on.', 'A battery without load shows nothing.'] },
};

/** A state's value with its unit. */
export function stateText(id: StateId, value: number, unit: LengthUnit): string {
  const q = STATES[id];
  if (q.unit === 'choice') return choiceText(id, value);
  if (q.unit === 'mm') return lengthText(value, unit);
  const places = q.unit === 'kΩ' || q.unit === 'V' ? 2 : q.unit === 'turns' ? 2 : q.limit < 1 || !Number.isInteger(value) ? 1 : 0;
  return withUnit(fixed(value, places), q.unit);
}

/** What is said to a value that hardly can be; null where there is nothing to challenge. */
export function improbableText(id: StateId, value: number, unit: LengthUnit): string | null {
  const found = improbable(id, value);
  if (!found) return null;
  const said = `${stateText(id, value, unit)} is unlikely`;
  return found.meant === null ? said : `${said}. Did you mean ${stateText(id, found.meant, unit)}?`;
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
  if (!('value' in typed)) return typed.because === 'not a length' ? 'Not a length. Try 1.6, 1/16 or 2thou.' : `Not a number in ${q.unit}.`;
  return `${stateText(id, typed.value, unit)} is impossible. Range: ${stateText(id, q.min, unit)} to ${stateText(id, q.max, unit)}`;
}

/** Where a state is: `string 1 (highest)`, `neck pickup, bass side`. */
export function placeText(t: StateTarget, names: Names): string {
  const q = STATES[t.quantity];
  if (q.of === 'sign') return SIGN_WORDS[t.feature] ?? t.feature;
  if (q.of === 'symptom') return SYMPTOM_WORDS[t.feature] ?? t.feature;
  if (q.of === 'string') return `${t.feature}${t.feature === 'string 1' ? ' (highest)' : ''}`;
  if (q.of === 'pickup' || q.of === 'cavity') return nameOf(names, t.feature);
  if (q.of === 'pickup side') return `${nameOf(names, t.feature)}, ${t.part ?? ''} side`;
  return t.feature;
}

/** What is read: the quantity, and the place where it has several. */
export function stateTitle(t: StateTarget, names: Names): string {
  const { name } = STATE_WORDS[t.quantity];
  const q = STATES[t.quantity];
  if (q.of === 'sign' || q.of === 'symptom') return placeText(t, names);
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
  within: { word: 'within target', sign: '●' },
  low: { word: 'too low', sign: '▼' },
  high: { word: 'too high', sign: '▲' },
  atEdge: { word: 'at the limit: too close for this tool', sign: '◇' },
};

/** How a value stands: an answer is within its target or outside of it, a number is too low or too high. */
export function standingWords(id: StateId, standing: Standing): { readonly word: string; readonly sign: string } {
  const outside = STATES[id].unit === 'choice' && standing !== 'within';
  return outside ? { word: 'outside target', sign: '✕' } : STANDING_WORDS[standing];
}

export const SEVERITY_WORDS: Readonly<Record<Severity, { readonly word: string; readonly sign: string }>> = {
  stop: { word: 'stop', sign: '■' },
  'put right': { word: 'repair', sign: '✕' },
  watch: { word: 'watch', sign: '◐' },
  leave: { word: 'safe to leave', sign: '○' },
};

/** What a finding is, what is tried first, and what is to be excluded before. */
export const FINDING_WORDS: Readonly<Record<RuleId, { readonly is: string; readonly remedy: string; readonly exclude: string }>> = {
  stopNow: {
    is: 'Stop sign',
    remedy: 'Remove the strings, do not tune, take photographs. Then plan the repair.',
    exclude: 'A tingle: unplug, and have a licensed electrician check outlet and amplifier.',
  },
  roomDry: {
    is: 'The room is too dry',
    remedy: 'Wait two weeks at 45 to 55 % before judging neck, top and fret ends.',
    exclude: 'A wrong hygrometer: it must read 75 % over a salt slurry.',
  },
  roomWet: {
    is: 'The room is too damp',
    remedy: 'Wait two weeks at 45 to 55 % before judging neck and top. Glue no top above 60 %.',
    exclude: 'A wrong hygrometer: it must read 75 % over a salt slurry.',
  },
  jointOpen: {
    is: 'The neck joint is open',
    remedy: 'Clean the neck pocket, tighten the screws, then read the gap again.',
    exclude: 'A line in the lacquer that does not move on flexing.',
  },
  neckBeyondRod: {
    is: 'More bow than the rod can correct',
    remedy: 'Stop the set-up. Slacken the strings and inspect the neck.',
    exclude: 'A rod that was never tightened.',
  },
  backBow: {
    is: 'Back bow',
    remedy: 'Slacken the rod by an eighth of a turn, wait, read again. If the rod is already slack, inspect the neck.',
    exclude: 'A high fret near the nut; a wrong humidity.',
  },
  reliefLow: {
    is: 'Too little relief',
    remedy: 'Slacken the rod by an eighth of a turn, wait, read again.',
    exclude: 'A high fret near the nut; a wrong humidity.',
  },
  reliefHigh: { is: 'Too much relief', remedy: 'Tighten the rod by an eighth to a quarter turn, wait, read again.', exclude: 'A hump at the body end.' },
  rodAtEnd: {
    is: 'Rod at its end',
    remedy: 'Stop turning. Add washers or cut a longer thread; otherwise inspect the neck.',
    exclude: 'A rod that turns freely without effect.',
  },
  fullLevel: {
    is: 'Many high frets',
    remedy: 'Level all frets with the neck straight, then crown and polish.',
    exclude: 'Loose frets: press each one before filing.',
  },
  spotLevel: { is: 'High fret', remedy: 'Spot-level it.', exclude: 'A loose fret: press it. Clamp and glue with thin CA before filing.' },
  refret: { is: 'Worn-out frets', remedy: 'Refret.', exclude: 'Only one or two worn frets: replace those.' },
  oneLevelLeft: {
    is: 'One light levelling left in the frets',
    remedy: 'Leave them, or level lightly once.',
    exclude: 'A reading beside the lowest point.',
  },
  fretEndsDry: {
    is: 'Fret ends stand out: shrunken fingerboard',
    remedy: 'Wait two weeks at 50 to 60 %, feel again, and only then file.',
    exclude: 'A dry room: correct the humidity before filing.',
  },
  fretEndsLumps: { is: 'Lumps of finish on the fret ends', remedy: 'Chip them off and smooth. Do not sand a lacquered edge.', exclude: 'A lifted fret.' },
  fretEndsBevel: { is: 'Some fret ends are sharp', remedy: 'Tape the fingerboard. File under the weight of the file alone.', exclude: 'A lifted fret.' },
  nutHigh: { is: 'High nut slots', remedy: 'Deepen the slots 0.01 mm at a time, sloping towards the tuners.', exclude: 'Finger pressure; a wrong relief.' },
  nutLow: { is: 'Low nut slot', remedy: 'Fill the slot or shim the nut.', exclude: 'A kinked string.' },
  neckAngle: { is: 'Neck angle too flat', remedy: 'Fit a shim at the deep end of the neck pocket.', exclude: 'A bulged neck pocket; loose screws.' },
  overAngled: { is: 'Neck angle too steep', remedy: 'Fit a thinner shim.', exclude: 'A wrong bridge height.' },
  saddleAtEnd: { is: 'Saddle at the end of its travel', remedy: 'Check the neck angle before the saddle.', exclude: 'A screw of the wrong length.' },
  actionHigh: { is: 'High action', remedy: 'Lower the saddle.', exclude: 'A wrong relief or nut.' },
  actionLow: { is: 'Low action', remedy: 'Raise the saddle.', exclude: 'A back bow; on an acoustic, a sunken top.' },
  neckReset: { is: 'The neck needs a reset', remedy: 'Refer it, or reset: cut the heel by the computed amount.', exclude: 'A dry or wet top; a wrong relief.' },
  topSunken: { is: 'Sunken top', remedy: 'Humidify, then measure again.', exclude: 'Loose braces.' },
  bridgeLifting: { is: 'Lifting bridge', remedy: 'Slacken the strings. Remove the bridge cleanly and reglue it.', exclude: 'A gap in the lacquer only.' },
  neckShifted: { is: 'The neck points to one side', remedy: 'Slacken the screws, nudge the neck, tighten.', exclude: 'Wrong nut spacing or saddles.' },
  edgeNarrow: { is: 'String near the edge of the fingerboard', remedy: 'Correct the nut or saddle spacing.', exclude: 'A neck that points to one side.' },
  pickupNear: { is: 'Pickup too near the strings', remedy: 'Lower it before setting the intonation.', exclude: 'Old strings.' },
  pickupFar: { is: 'Pickup too far from the strings', remedy: 'Raise it before setting the intonation.', exclude: 'A weak magnet.' },
  intonationOff: { is: 'Intonation is off', remedy: 'Fit new strings, then move the saddle.', exclude: 'A wrong nut, relief or action; old strings.' },
  coilOpen: { is: 'A pickup reads open', remedy: 'Meter its leads at the switch.', exclude: 'A dirty contact.' },
  coilShorted: {
    is: 'A pickup reads shorted',
    remedy: 'Lift the hot wire of the jack and read again.',
    exclude: 'Volume at 0; a kill switch; the tip touching a shield.',
  },
  setUneven: {
    is: 'The neck pickup reads higher than the bridge pickup',
    remedy: 'No repair: resistance is not output. Compare inductance if the meter can.',
    exclude: 'Pickups of different wire.',
  },
  groundOpen: { is: 'A metal part has no ground', remedy: 'Run a wire from it to the sleeve.', exclude: 'Lacquer on the hardware under the probe.' },
  buzzOpen: { is: 'Open strings buzz', remedy: 'Check the nut slots.', exclude: 'A kinked string.' },
  buzzLowFrets: { is: 'Buzz at the first frets', remedy: 'Check the relief.', exclude: 'A high fret there; a wrong humidity.' },
  buzzHighFrets: {
    is: 'Buzz from the 12th fret up',
    remedy: 'Check the relief and the body end of the fingerboard.',
    exclude: 'Loose last frets; a wrong neck angle.',
  },
  buzzOneNote: { is: 'One note buzzes', remedy: 'Check the next fret with the rocker, and press it.', exclude: 'A loose fret.' },
  sourFirst: { is: 'First-position chords are out of tune', remedy: 'Check the nut slots.', exclude: 'Finger pressure.' },
  allSharp: { is: 'All fretted notes are sharp alike', remedy: 'Fit a filler strip in front of the nut, by the computed amount.', exclude: 'The saddle.' },
  stringSlips: { is: 'The first string slips off the fingerboard', remedy: 'Check the alignment of the neck.', exclude: 'Wrong nut spacing or saddle.' },
  sharpAfterBend: { is: 'Returns sharp after a bend', remedy: 'Dress and lubricate the nut and the string trees.', exclude: 'Slipping wraps on the post.' },
  crackle: { is: 'A control crackles', remedy: 'Use contact cleaner and turn it twenty times.', exclude: 'DC on the pot from a leaking active circuit.' },
  humFalls: {
    is: 'Hum drops when touching the strings',
    remedy: 'The string ground works. Shield the cavities to reduce the hum.',
    exclude: 'A dimmer or a lamp.',
  },
  polesOff: {
    is: 'Poles not under the strings',
    remedy: 'Fit a pickup with another spacing.',
    exclude: 'A neck that points to one side; a rail pickup.',
  },
  tunersLoose: { is: 'Tuner with play', remedy: 'Tighten screws and bushings by hand. Replace a worn gear.', exclude: 'Wraps slipping on the post.' },
  tapSilent: { is: 'Pickup silent in the tap test', remedy: 'Meter its leads at the switch.', exclude: 'Another position selected; volume at 0.' },
  shieldOpen: { is: 'Shield does not conduct', remedy: 'Add a coat or foil, and a ground wire to each cavity.', exclude: 'Probes on lacquer.' },
  breakShallow: { is: 'Shallow break angle over the saddle', remedy: 'Check the neck angle and the saddle height.', exclude: 'Missing string ramps.' },
  twist: { is: 'Twist: relief differs between the sides', remedy: 'Check the neck for twist with winding sticks.', exclude: 'Unevenly worn frets.' },
  rodFree: {
    is: 'The rod turns freely without effect',
    remedy: 'Stop turning. Check for a broken or unanchored rod, or one at its end.',
    exclude: 'Missing washers under the nut.',
  },
  fretsLoose: { is: 'Loose frets', remedy: 'Clamp and glue them with thin CA before filing.', exclude: 'A dull tap from a void under the fingerboard.' },
  jointLine: { is: 'Line in the lacquer at the joint', remedy: 'Record it only.', exclude: 'A line that opens on flexing: that is a crack.' },
  jointLineOpens: {
    is: 'Crack in the wood at the joint',
    remedy: 'Slacken the strings. Repair it before any set-up.',
    exclude: 'A line in the lacquer, which does not move.',
  },
  screwStripped: { is: 'Stripped screw', remedy: 'Plug across the grain and drill a new pilot.', exclude: 'A screw too short, or in a clearance hole.' },
  screwBinds: { is: 'A screw stops before its seat', remedy: 'Remove it. Drill the pilot to depth and wax the thread.', exclude: 'A crossed thread.' },
  finishTacky: {
    is: 'Tacky finish where something touched it',
    remedy: 'Clean it. Keep plasticised stands and straps off the finish.',
    exclude: 'A finish that has not cured.',
  },
  finishBloom: { is: 'White bloom in the finish', remedy: 'Use drier air and a retarder, then check again.', exclude: 'Wax or polish.' },
  finishCraters: { is: 'Craters in the finish', remedy: 'Clean, seal with shellac, recoat.', exclude: 'Oil in the air line.' },
  bellyUp: {
    is: 'Belly in the top behind the bridge',
    remedy: 'Check top, bridge plate and braces with mirror and lamp.',
    exclude: 'Wrong humidity; strings too heavy.',
  },
  crackMoves: { is: 'Moving crack in the top', remedy: 'Humidify, then glue and cleat.', exclude: 'Dry air: never force the crack closed.' },
  tremoloSticks: { is: 'The tremolo sticks at its pivot', remedy: 'Dress and lubricate the knife edges.', exclude: 'A sticking nut.' },
  cellLow: { is: 'Low supply under load', remedy: 'Fit a new battery.', exclude: 'A bad clip; wrong polarity.' },
  bodyBuzz: { is: 'Something buzzes at one pitch', remedy: 'Tap the body and damp spots with a finger: brace, label, rod, cable.', exclude: 'Fret buzz.' },
  sitar: { is: 'An open string sounds like a sitar', remedy: 'Recut the slot, sloping back from its front edge.', exclude: 'A saddle worn flat.' },
  flatAfterBend: {
    is: 'Returns flat after a bend',
    remedy: 'Restring and stretch. Check for slipping wraps and tuner play.',
    exclude: 'Loose neck screws; a moving saddle.',
  },
  deadNote: {
    is: 'Dead note with sound frets',
    remedy: 'No repair: a resonance. A headstock clamp shifts it; explain it to the owner.',
    exclude: 'A buzz, a loose fret.',
  },
  neckRattle: { is: 'Something rattles in the neck', remedy: 'Put light tension on the rod.', exclude: 'A loose nut, ferrule or tuner screw.' },
  stringsBreak: { is: 'Strings break at one place', remedy: 'Find the burr and polish it.', exclude: 'Old strings; a wrong gauge.' },
  knobScrapes: { is: 'A pot turns with its knob', remedy: 'Hold the pot from inside and tighten nut and washer.', exclude: 'Wires twisted around it.' },
  plugLoose: { is: 'The signal dies when the plug moves', remedy: 'Bend the leaf of the jack and reflow its joints.', exclude: 'A bad cable.' },
  hotOnMetal: { is: 'Hum rises on touching metal', remedy: 'Swap hot and ground at the jack or at a pickup.', exclude: 'A bad cable.' },
  humNulls: {
    is: 'The hum is magnetic',
    remedy: 'Move away from the source, or fit hum-cancelling pickups. No shield stops it.',
    exclude: 'Shielding: it has no effect here.',
  },
  earthLoop: {
    is: 'Hum only with a second mains device',
    remedy: 'Isolate the signal. Never lift the earth.',
    exclude: 'A mains fault: call a licensed electrician.',
  },
  squeal: { is: 'A pickup is microphonic', remedy: 'Secure cover and springs with foam, then wax.', exclude: 'Acoustic feedback of the room.' },
  weakDull: {
    is: 'A pickup is weak at a right resistance',
    remedy: 'Compare inductance and field with its twin: shorted turns or a weak magnet.',
    exclude: 'A wrong height; the tone capacitor.',
  },
  stringWeak: { is: 'One string is weak', remedy: 'Align the pole with the string and set its height.', exclude: 'A dead string; a weak pole.' },
  warble: { is: 'Magnets pull the low strings', remedy: 'Lower the bass side.', exclude: 'Old strings.' },
  toneDead: {
    is: 'The tone control does nothing',
    remedy: 'Clip 22 nF across it. If that works, the capacitor is open.',
    exclude: 'A no-load pot at 10.',
  },
  volumeDull: { is: 'Volume at 0 is dull, not silent', remedy: 'Reflow the ground of the lug.', exclude: 'Blend or independent wiring.' },
  outOfPhase: { is: 'Two pickups are out of phase', remedy: 'Swap the leads of one pickup.', exclude: 'A cover on the ground lead; reversed magnets.' },
  notReversed: { is: 'The pair is not reverse-wound', remedy: 'Accept it, or reverse magnet and leads of one pickup.', exclude: 'Unequal volumes.' },
  activeFades: { is: 'The active circuit distorts or fades', remedy: 'Fit a new battery.', exclude: 'A bad clip; wrong polarity.' },
  cellDrains: {
    is: 'Battery empty within days',
    remedy: 'Check that the ring contact of the jack opens. Measure the current unplugged.',
    exclude: 'A plug left in the jack.',
  },
  humStays: { is: 'Hum does not drop when touching the strings', remedy: 'Meter from the bridge to the sleeve.', exclude: 'Lacquered hardware.' },
};
