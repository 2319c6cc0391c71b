import type { BestInRoute, CheckId, Corner, ThreadsMet, Verdict } from '@rinnovo/core/check';
import type { LengthUnit, VerdictClass } from '@rinnovo/core/measure';
import type { Target } from '@rinnovo/core/quantity';
import { lengthText, limitText } from './length.js';
import { nameOf, upperFirst, type Names } from './names.js';
import { SIZE_WORDS } from './parts.js';
import { fixed } from './locale.js';

/** One word and one sign for each verdict: shape and word carry it, colour only helps. */
export const CLASS_WORDS: Readonly<Record<VerdictClass, { readonly word: string; readonly sign: string }>> = {
  well: { word: 'clears', sign: '●' },
  thin: { word: 'clears, thin', sign: '◐' },
  tooClose: { word: 'too close to call', sign: '◇' },
  clashes: { word: 'clashes', sign: '✕' },
  notMeasured: { word: 'not measured', sign: '?' },
};

/** What each check is called, by its name. */
export type Titles = Readonly<Record<CheckId, (v: Verdict, n: Names) => string>>;

const TITLES: Titles = {
  partInRoute: (v, n) => `${upperFirst(nameOf(n, v.subject.item))} in the route`,
  smallestCorner: (v, n) => `Smallest corner, ${nameOf(n, v.corner?.tier)}`,
  screwInRoute: () => 'Height screws in the route',
  depthUnderPart: (v, n) => `Depth under the ${nameOf(n, v.subject.item)}`,
  depthUnderScrews: () => 'Depth under the screw points',
  windowGap: (v, n) => `Cover in the ${nameOf(n, v.subject.against)}`,
  behindWindow: (v, n) => `Route edge behind the ${nameOf(n, v.subject.against)}`,
  hiddenEdge: (v, n) => `${upperFirst(nameOf(n, v.subject.item))} covered by the ${nameOf(n, v.subject.against)}`,
  wall: (v, n) => `Wall from ${nameOf(n, v.subject.item)} to ${nameOf(n, v.subject.against)}`,
  edgeOfBody: (v, n) => `Wall from ${nameOf(n, v.subject.item)} to the edge of the body`,
  floor: (v, n) => floorTitle(v, n),
  polesUnderStrings: (v) => `Outer poles under the strings, ${v.subject.item ?? ''}`,
  leads: () => 'Leads for this wiring',
  coverHoles: () => 'Cover holes over the poles',
  coverGround: () => 'Cover with its own ground',
  stringCount: (v) => `Made for ${v.subject.item ?? ''} strings, fitted to ${v.subject.against ?? ''}`,
  travel: () => 'Travel downwards',
  clearOfStrings: () => 'Cover clear of the strings, let down',
  nearStrings: () => 'Cover near enough to the strings, brought up',
  bushingInHole: (v, n) => `Bushing in the ${nameOf(n, v.subject.feature)}`,
  hidesHole: (v) => `Hole covered by the ${v.subject.item ?? ''}`,
  threadThrough: () => 'Thread beyond the nut',
  bodyInRoom: (v, n) => `Body to the walls of the ${nameOf(n, v.subject.against)}`,
  besideNeighbour: (v, n) => `Body beside ${nameOf(n, v.subject.against)}`,
  cavityBehind: () => 'Cavity behind the hole',
  holeBeside: (v, n) => `${v.subject.item === 'exit' ? 'Exit of the new hole' : 'New hole'} to ${besideTitle(v, n)}`,
  depthForPart: (v, n) => `Depth of the ${nameOf(n, v.subject.against)} for the part`,
  woodOver: (v, n) => `Wood left over the ${nameOf(n, v.subject.against)}`,
  switchInSlot: (v) => `Lever in its slot, ${v.subject.item ?? ''}`,
  plugInside: () => 'Clearance behind the plug',
  leafSwing: () => 'Leaf swing with the plug in',
  pressHolds: () => 'Press fit, minimum interference',
  pressSplits: () => 'Press fit, maximum interference',
  headstockThick: (v) => `Headstock thickness, ${v.subject.item === 'least' ? 'minimum' : 'maximum'}`,
  nextTuner: () => 'Distance to the next tuner',
  oldHoleShows: (v, n) => `Old ${nameOf(n, v.subject.against)} under the housing`,
  screwHolds: (v) => `Thread in the ${v.subject.item === 'heel' ? 'heel' : 'wood'}`,
  screwPasses: (v, n) => `Screw through the ${v.subject.item === 'body' ? 'body' : nameOf(n, v.subject.against)} without biting`,
  oldHoleOutside: (v, n) =>
    v.subject.item ? `Old hole of the ${nameOf(n, v.subject.against)}, ${v.subject.item}, covered` : `Old ${nameOf(n, v.subject.against)} covered`,
  holeStripped: () => 'Wood of the hole holds',
  knobGoesOn: () => 'Knob on its shaft',
  knobWobbles: () => 'Play of the knob on its shaft',
  knobGrips: (v) => `${v.subject.item === 'push-on' ? 'Push-on knob' : 'Knob with a set screw'} on a ${v.subject.against ?? ''} shaft`,
  depthOfHole: () => 'Depth of the hole for the part’s length',
  woodUnderBore: () => 'Wood left under the deeper hole',
  collarProud: () => 'Collar of the stud at its lowest',
  studEngages: () => 'Thread of the stud in its bushing',
  headSeats: () => 'Head over the hole in its plate',
  screwPoint: (v) => `Wood ${v.subject.item === 'heel' ? 'of the heel ' : ''}under the point`,
  screwBeside: (v, n) => `${v.subject.item === 'screw' ? 'Screw' : upperFirst(v.subject.item ?? '')} beside the ${nameOf(n, v.subject.against)}`,
  threadBites: () => 'Thread engagement in the old hole',
  threadsMeet: (v, n) => `Thread of the ${nameOf(n, v.subject.against)}`,
  wiresInBore: () => 'Wires in the bore',
  plateHides: (v, n) => `${upperFirst(nameOf(n, v.subject.against))} covered`,
  sitsOnTop: (v) => `${upperFirst(v.subject.item ?? '')} base on a ${v.subject.against ?? ''} top`,
  cutterInCorner: () => 'Template bit for the smallest corner',
  plateScrewInAir: (v, n) => `${upperFirst(nameOf(n, v.subject.feature))}, ${v.subject.item ?? 'screw'}, in wood, beside the ${nameOf(n, v.subject.against)}`,
  measureFirst: (v, n) => `${upperFirst(nameOf(n, v.subject.feature))}: measure first`,
  placeGone: (v, n) => `${upperFirst(nameOf(n, v.subject.feature))}: this place no longer exists on the instrument`,
};

/** What a new hole lies beside: the edge, another one of its own row, or something that has a name. */
function besideTitle({ subject: { feature, against } }: Verdict, n: Names): string {
  if (against === 'body') return 'the edge of the body';
  return against?.startsWith(`${feature} `) && n[against] === undefined ? 'the next hole of the row' : `the ${nameOf(n, against)}`;
}

function floorTitle(v: Verdict, n: Names): string {
  if (v.subject.item === 'hole')
    return `Wood behind the new holes, to ${v.subject.against === 'body' ? 'the other face' : `the ${nameOf(n, v.subject.against)}`}`;
  const [set, depth] = (v.subject.item ?? '').split('/');
  const at = Number(depth);
  const where = Number.isFinite(at) ? ` at ${fixed(at, 1)}` : '';
  return `Floor under the ${nameOf(n, set)}${where}, to ${v.subject.against === 'body' ? 'the back' : nameOf(n, v.subject.against)}`;
}

/** What a verdict is about. */
export function verdictTitle(v: Verdict, names: Names, titles: Titles = TITLES): string {
  return titles[v.check]?.(v, names) ?? `${upperFirst(nameOf(names, v.subject.feature))}: ${v.check}`;
}

/** The verdict's number as a phrase: `1.12 mm ± 0.35`. */
export function clearanceText(v: Verdict, unit: LengthUnit): string {
  if (v.clearance === null || v.worst === null) return '—';
  if (v.threads) return v.class === 'clashes' ? `${v.threads.mine} in ${v.threads.theirs}` : v.threads.mine;
  if (v.unit === 'choice') return v.clearance >= 0 ? (v.class === 'thin' ? 'inspect' : 'yes') : 'no';
  if (v.unit === 'count') return v.clearance >= 0 ? 'enough' : `${String(-v.clearance)} too few`;
  return `${lengthText(v.clearance, unit)} ± ${limitText(v.worst, unit)}`;
}

/** One sentence that says what a verdict comes to, for a reader who does not see the picture. */
export function verdictSentence(v: Verdict, names: Names, unit: LengthUnit): string {
  const title = verdictTitle(v, names);
  if (v.check === 'placeGone') return `${title}.`;
  if (v.check === 'cavityBehind' && v.class === 'notMeasured' && !v.lacks) return `${title}: no cavity is drawn there. Draw it in Anatomy first.`;
  if (v.class === 'notMeasured') {
    const lacking = (v.lacks ?? []).map((l) => `${sizeWord(l.size)} of ${nameOf(names, l.part)}`);
    return `${title}: not measured. Still to measure: ${[...v.missing.map((t) => targetText(t, names)), ...lacking].join(', ')}.`;
  }
  if (v.threads) return `${title}: ${threadsText(v.threads)}`;
  if (v.check === 'knobGrips' && v.class === 'thin') return `${title}: the screw presses the shaft together. Turn it square to the slot, or fill the slot.`;
  if (v.check === 'sitsOnTop' && v.class === 'thin' && v.subject.against === 'flat') return `${title}: it leans. Check that the part in it is to lean.`;
  if (v.check === 'sitsOnTop' && v.class === 'thin') return `${title}: it sits flat only where the carving is flat. Lay it on and check that it does not rock.`;
  if (v.unit === 'choice') return `${title}: ${v.class === 'clashes' ? 'no' : 'yes'}.`;
  if (v.unit === 'count') return `${title}: ${clearanceText(v, unit)}.`;
  const minimum = v.class === 'thin' ? `, minimum ${lengthText(v.minimum, unit)}` : '';
  const corner = v.corner ? `; ${cornerText(v.corner, unit)}` : '';
  const typical = v.typical ? '; typical, not measured' : '';
  return `${title}: ${CLASS_WORDS[v.class].word}, ${clearanceText(v, unit)}${minimum}${corner}${typical}.`;
}

/** What happens when two threads meet. */
function threadsText({ mine, theirs, alike }: ThreadsMet): string {
  if (mine === theirs) return `${mine} in ${theirs}: a match.`;
  const why = alike ? 'they look alike and ruin each other. Start by hand: two free turns, or it is the wrong thread' : 'they do not match';
  return `${mine} in ${theirs}: ${why}.`;
}

function sizeWord(size: string): string {
  return size in SIZE_WORDS ? SIZE_WORDS[size as keyof typeof SIZE_WORDS].toLowerCase().replace('ø', 'Ø') : 'ground of the cover';
}

function cornerText({ ofPart, ofRoute, most }: Corner, unit: LengthUnit): string {
  const radius = (r: number): string => (r === 0 ? 'a sharp corner' : `radius ${lengthText(r, unit)}`);
  return `${radius(ofPart)} in ${radius(ofRoute)}; it fits up to radius ${lengthText(most, unit)}`;
}

const QUANTITY: Readonly<Record<Target['quantity'], string>> = {
  bodyThickness: 'body thickness',
  levelDepth: 'depth',
  floorFall: 'fall of the floor, end to end',
  checkWidthAcross: 'width across',
  checkWidthAlong: 'length along',
  plateThickness: 'thickness',
  spreadAtNut: 'string spread at the nut',
  spreadAtSaddles: 'string spread at the saddles',
  courseApart: 'distance within a course',
  scaleLength: 'scale length',
  scaleLengthBass: 'bass scale length',
  firstToThirteenth: 'first to thirteenth fret',
  nutToTwelfth: 'nut to the twelfth fret',
  nutToSaddle: 'nut to the saddle of the highest string',
  nutToMouth: 'nut to the mouth of the neck pocket',
  jointHeight: 'fingerboard over the body at the joint',
  heelThickness: 'heel thickness with its fingerboard',
  shimThickness: 'shim under the heel, at the screws',
  nutWidth: 'width at the nut',
  boardEndWidth: 'width at the end of the fingerboard',
  boardRadius: 'fingerboard radius',
  neckThickness: 'neck thickness',
  headstockThickness: 'headstock thickness',
  carveHeight: 'carve height',
  stringHeight: 'string height over the face, held at the last fret',
  holeDiameter: 'diameter',
  bareDiameter: 'diameter in bare wood',
  holeDepth: 'depth',
  fitGap: 'gap at the part',
};

/** One of each: the quantity says whose it is. */
const SPEAKS_FOR_ITSELF = new Set(['strings', 'neck', 'headstock']);

/** Levels that are the whole of their cavity need no name of their own. */
const WHOLE = new Set(['floor', 'pocket']);

/** What is measured, in words: `long back cavity, depth`; the quantity alone where it says all. */
export function targetText(t: Target, names: Names): string {
  const what = QUANTITY[t.quantity];
  if (t.quantity === 'neckThickness') return `${what} at the ${t.part ?? ''} fret`;
  if (SPEAKS_FOR_ITSELF.has(t.feature) || t.quantity === 'bodyThickness' || t.quantity === 'carveHeight') return what;
  if (t.feature === 'body') return `body, ${what}`;
  if (t.part === undefined || WHOLE.has(t.part)) return `${nameOf(names, t.feature)}, ${what}`;
  const part = names[t.part];
  return part === undefined ? `${nameOf(names, t.feature)} (${t.part.replace(/ [0-9a-f]{8}$/, '')}), ${what}` : `${part}, ${what}`;
}

/** Where a body would have most room, and what is still missing there. */
export function bestPlaceText({ tier, at, clearance }: BestInRoute, names: Names, unit: LengthUnit): string {
  const way = `${lengthText(at.x, unit)} across, ${lengthText(at.y, unit)} along, ${fixed(at.turn, 1)}°`;
  const still = clearance < 0 ? `${lengthText(-clearance, unit)} too little` : `${lengthText(clearance, unit)} of clearance`;
  return `Within the play of its screws, the ${nameOf(names, tier)} fits best when moved by ${way}: ${still}.`;
}
