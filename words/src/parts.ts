import type { PartCsvFault, PartCsvProblem } from '@rinnovo/core/format';
import type { Basis } from '@rinnovo/core/measure';
import type { HardwareKind, PartGroup, PartProblem, PickupField, PickupKind, SizeId, TraitId } from '@rinnovo/core/part';

/** What the sizes of a part are called, and what each is laid to. */
export const SIZE_WORDS: Readonly<Record<SizeId, string>> = {
  bushing: 'Through the hole, Ø',
  threadLength: 'Thread, length',
  washer: 'Washer or nut, Ø',
  knob: 'Knob, Ø',
  shaft: 'Shaft, Ø',
  body: 'Body, Ø',
  bodyLength: 'Body, along',
  bodyWidth: 'Body, across',
  depthBelow: 'Below the face, with lugs',
  leafSwing: 'Swing of the leaf',
  plugInside: 'Plug inside',
  slotLength: 'Slot, along',
  slotWidth: 'Slot, across',
  screwSpacing: 'Screws apart',
  thickness: 'Thickness',
  thicknessEnd: 'Thickness at the low end',
  archRadius: 'Radius of the arch',
  outer: 'Pressed, Ø',
  flange: 'Flange, Ø',
  length: 'Length',
  stringHole: 'String hole, Ø',
  outerStep: 'Wider step, Ø',
  post: 'Post, Ø',
  headstockLeast: 'Headstock at least',
  headstockMost: 'Headstock at most',
  pitch: 'Next one at least',
  diameter: 'Thickness, Ø',
  head: 'Head, Ø',
  travelDown: 'Can go down by',
  travelUp: 'Can go up by',
  poleDiameter: 'Pole, Ø',
  coverHoleSpacing: 'Outer holes of the cover',
  coverHole: 'Hole in the cover, Ø',
  leadDiameter: 'Lead, Ø',
};

/** What the numbers of a pickup are called; length goes across the strings. */
export const PICKUP_FIELD_WORDS: Readonly<Record<PickupField, string>> = {
  coverLength: 'Cover, length',
  coverWidth: 'Cover, width',
  coverCorner: 'Cover, corner radius',
  coverAbove: 'Cover above the face',
  coverLowest: 'Cover below the face',
  baseLength: 'Base, length',
  baseWidth: 'Base, width',
  baseCorner: 'Base, corner radius',
  baseLowest: 'Base below the face',
  earsOver: 'Ears, over all',
  earLength: 'One ear, length',
  earWidth: 'One ear, width',
  earsLowest: 'Ears below the face',
  screwsApart: 'Height screws apart',
  screwDiameter: 'Height screw, Ø',
  screwsLowest: 'Screw points below the face',
  poleSpacing: 'Outer poles apart',
  rowsApart: 'Rows of poles apart',
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
  bushes: 'Ferrules, bushes, studs',
  tuners: 'Tuners',
  screws: 'Screws and pins',
  wires: 'Wires',
};

export const PART_KIND_WORDS: Readonly<Record<PickupKind | HardwareKind, string>> = {
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
  jack: 'Jack',
  'end-pin jack': 'End-pin jack',
  plate: 'Plate',
  guard: 'Guard',
  ring: 'Ring',
  cover: 'Cover',
  ferrule: 'Ferrule',
  bush: 'Bush',
  stud: 'Stud',
  tuner: 'Tuner',
  'strap pin': 'Strap pin',
  'wood screw': 'Wood screw',
  'machine screw': 'Machine screw',
  wire: 'Wire',
};

export const TRAIT_WORDS: Readonly<Record<TraitId, string>> = {
  shaftEnd: 'Shaft end',
  taper: 'Taper',
  form: 'Form',
  surface: 'Surface',
  fixing: 'Held by',
  headForm: 'Head',
  wiring: 'Wired for',
};

/** How a size of a part is known, in words: `calliper`, `part's sheet`, `listing`, `typical, not measured`. */
export function partBasisText(basis: Basis): string {
  switch (basis.kind) {
    case 'measured':
      return basis.tool;
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
      return 'The replacement leads back to this part.';
    case 'noSuchReplacement':
      return 'The replacement is not on the shelf.';
  }
}

const CSV_FAULTS: Readonly<Record<PartCsvFault, string>> = {
  noTable: 'is no table with a header',
  noColumn: 'is missing: at least kind and name are needed',
  unknownColumn: 'is no column of the shelf; it is left out',
  tooManyLines: 'lines are the most that one file may have',
  unknownKind: 'is no kind of part',
  noName: 'is empty: a part needs a name',
  notANumber: 'is no number',
  cannotBe: 'cannot be',
  notOfThisKind: 'is not had by this kind of part',
  notDrawn: 'is no drawing that can be read',
};

/** What is wrong in a file of parts, with its line and column. */
export function partCsvProblemText(p: PartCsvProblem): string {
  if (p.fault === 'tooManyLines') return `${p.saw} ${CSV_FAULTS.tooManyLines}: split it.`;
  const where = p.line === 1 ? `Column ${p.column}` : `Line ${p.line}, ${p.column}`;
  const saw = p.saw === '' || p.line === 1 ? '' : ` ‘${p.saw}’`;
  return `${where}:${saw} ${CSV_FAULTS[p.fault]}.`;
}
