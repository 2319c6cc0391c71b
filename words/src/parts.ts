import { partHeader } from '@rinnovo/core/part';
import type { PartCsvFault, PartCsvProblem } from '@rinnovo/core/format';
import type { Basis } from '@rinnovo/core/measure';
import { contactProblemText } from './electric.js';
import { dateText } from './locale.js';
import type { PartGroup, PartProblem, PickupField, SizeId, TraitId } from '@rinnovo/core/part';

/** What the sizes of a part are called, and what each is laid to. */
export const SIZE_WORDS: Readonly<Record<SizeId, string>> = {
  bushing: 'Bushing, Ø',
  threadLength: 'Thread length',
  washer: 'Washer or nut, Ø',
  knob: 'Knob, Ø',
  knobBore: 'Bore of the knob, Ø',
  shaft: 'Shaft, Ø',
  body: 'Body, Ø',
  bodyLength: 'Body, length',
  bodyWidth: 'Body, width',
  depthBelow: 'Depth below the face, with lugs',
  leafSwing: 'Leaf swing',
  plugInside: 'Plug depth inside',
  slotLength: 'Slot, length',
  slotWidth: 'Slot, width',
  screwSpacing: 'Screw spacing',
  thickness: 'Thickness',
  thicknessEnd: 'Thickness at the thin end',
  archRadius: 'Arch radius',
  outer: 'Outer, Ø',
  flange: 'Flange, Ø',
  length: 'Length',
  stringHole: 'String hole, Ø',
  outerStep: 'Wider step, Ø',
  post: 'Post, Ø',
  headstockLeast: 'Minimum headstock thickness',
  headstockMost: 'Maximum headstock thickness',
  pitch: 'Minimum distance to the next tuner',
  diameter: 'Shank, Ø',
  head: 'Head, Ø',
  travelDown: 'Travel downwards',
  travelUp: 'Travel upwards',
  poleDiameter: 'Pole, Ø',
  coverHoleSpacing: 'Cover holes, outer spacing',
  coverHole: 'Cover hole, Ø',
  leadDiameter: 'Lead, Ø',
};

/** What the numbers of a pickup are called; length goes across the strings. */
export const PICKUP_FIELD_WORDS: Readonly<Record<PickupField, string>> = {
  coverLength: 'Cover, length',
  coverWidth: 'Cover, width',
  coverCorner: 'Cover, corner radius',
  coverAbove: 'Cover, height above the face',
  coverLowest: 'Cover, depth below the face',
  baseLength: 'Base, length',
  baseWidth: 'Base, width',
  baseCorner: 'Base, corner radius',
  baseLowest: 'Base, depth below the face',
  earsOver: 'Ears, overall length',
  earLength: 'Ear, length',
  earWidth: 'Ear, width',
  earsLowest: 'Ears, depth below the face',
  screwsApart: 'Height screw spacing',
  screwDiameter: 'Height screw, Ø',
  screwsLowest: 'Screw points, depth below the face',
  poleSpacing: 'Pole spacing, outer',
  rowsApart: 'Pole row spacing',
  travelDown: SIZE_WORDS.travelDown,
  travelUp: SIZE_WORDS.travelUp,
  poleDiameter: SIZE_WORDS.poleDiameter,
  coverHoleSpacing: SIZE_WORDS.coverHoleSpacing,
  coverHole: SIZE_WORDS.coverHole,
  leadDiameter: SIZE_WORDS.leadDiameter,
};

export const GROUP_WORDS: Readonly<Record<PartGroup, string>> = {
  pickups: 'Pickups',
  pots: 'Pots',
  switches: 'Switches',
  jacks: 'Jacks',
  plates: 'Plates and rings',
  bushes: 'Ferrules, bushings, studs',
  tuners: 'Tuners',
  screws: 'Screws and pins',
  wires: 'Wires',
  electronics: 'Electronics',
};

/** What each kind of part is called. */
const PART_KIND_WORDS: Readonly<Record<string, string>> = {
  'single-coil': 'Single-coil, guard-mounted',
  'plate single-coil': 'Single-coil, plate-mounted',
  humbucker: 'Humbucker',
  'slim humbucker': 'Humbucker in single-coil size',
  'small humbucker': 'Small humbucker',
  soapbar: 'Soapbar',
  'dog-eared': 'Dog-eared single-coil',
  'bass slim': 'Bass, slim',
  'bass split half': 'Bass, half of a split pair',
  'bass soapbar': 'Bass soapbar',
  pot: 'Pot',
  'push-pull pot': 'Push-pull pot',
  'lever switch': 'Lever switch',
  'toggle switch': 'Toggle switch',
  'mini toggle': 'Mini toggle',
  'rotary switch': 'Rotary switch',
  'slide switch': 'Slide switch',
  jack: 'Jack',
  'end-pin jack': 'End-pin jack',
  plate: 'Plate',
  guard: 'Guard',
  ring: 'Ring',
  cover: 'Cover',
  ferrule: 'Ferrule',
  bush: 'Bushing',
  stud: 'Stud',
  tuner: 'Tuner',
  'strap pin': 'Strap pin',
  'wood screw': 'Wood screw',
  'machine screw': 'Machine screw',
  wire: 'Wire',
  'kill switch': 'Kill switch',
  capacitor: 'Capacitor',
  resistor: 'Resistor',
  preamp: 'Preamp',
  piezo: 'Piezo',
  battery: 'Battery',
  'terminal block': 'Terminal block',
  'plug-in harness': 'Plug-in harness',
};

/** What a kind of part is called; one that has no words keeps its trade name. */
export function partKindWord(kind: string): string {
  return PART_KIND_WORDS[kind] ?? kind;
}

export const TRAIT_WORDS: Readonly<Record<TraitId, string>> = {
  shaftEnd: 'Shaft end',
  knobGrip: 'Knob held by',
  taper: 'Taper',
  form: 'Form',
  surface: 'Surface',
  fixing: 'Held by',
  headForm: 'Head',
  wiring: 'Wired for',
  tracks: 'Tracks',
  direction: 'Turns up',
  fullUp: 'Full up',
  charging: 'Charging port',
};

/** How a size of a part is known, in words: `calliper, Ada, 1 December 2026`, `part's sheet`, `listing`, `typical, not measured`. */
export function partBasisText(basis: Basis, personOf: (id: string) => string): string {
  switch (basis.kind) {
    case 'measured':
      return [basis.tool, ...(basis.person ? [personOf(basis.person)] : []), ...(basis.at ? [dateText(basis.at)] : [])].join(', ');
    case 'sheet':
      return 'part’s sheet';
    case 'stated':
      return 'listing';
    default:
      return 'typical, not measured';
  }
}

/** What cannot be of a part. */
export function partProblemText(p: PartProblem): string {
  switch (p.kind) {
    case 'crossesItself':
      return `The ${p.outline} crosses itself.`;
    case 'openingOutside':
      return `The opening ${p.opening} breaks through the edge.`;
    case 'replacesItself':
      return 'The replacement refers back to this part.';
    case 'noSuchReplacement':
      return 'The replacement is not on the shelf.';
    case 'contacts':
      return `Contacts: ${contactProblemText(p.problem)}.`;
  }
}

const CSV_FAULTS: Readonly<Record<PartCsvFault, string>> = {
  noTable: 'is not a table with a header',
  noColumn: 'is missing: kind and name are required',
  unknownColumn: 'is not a known column; it is skipped',
  tooManyLines: 'lines is the limit of one file',
  unknownKind: 'is not a kind of part',
  noName: 'is empty: a part needs a name',
  notANumber: 'is not a number',
  cannotBe: 'is not possible',
  notOfThisKind: 'does not apply to this kind of part',
  notDrawn: 'is not a readable drawing',
  twice: 'is the id of an earlier line, too',
  unclosedQuote: 'begins a quotation mark that is not closed; no line of the file was read',
  surplusCells: 'stands beyond the last column; a number with a comma needs quotes',
};

/** What is wrong in a file of parts, with its line and column. */
export function partCsvProblemText(p: PartCsvProblem): string {
  if (p.fault === 'tooManyLines') return `${p.saw} ${CSV_FAULTS.tooManyLines}: split it.`;
  const where = p.line === 1 ? `Column ${partHeader(p.column)}` : `Line ${p.line}${p.column === '' ? '' : `, ${partHeader(p.column)}`}`;
  const saw = p.saw === '' || p.line === 1 ? '' : ` ‘${p.saw}’`;
  return `${where}:${saw} ${CSV_FAULTS[p.fault]}.`;
}
