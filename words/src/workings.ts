import { valueOf, type Leaf, type LengthUnit, type Working } from '@rinnovo/core/measure';
import { lengthText } from './length.js';
import { SIZE_WORDS } from './parts.js';

const LABELS: Readonly<Record<string, string>> = {
  outline: 'edge of the outline',
  partOutline: 'edge of the part',
  plateBack: 'plate put back',
  roomInside: 'least distance from the part’s edge to the route’s edge',
  edgeBehindWindow: 'least distance from the window’s edge to the route’s edge',
  hiddenEdge: 'least distance from the route’s edge to the plate’s edge',
  wallBetween: 'least distance between the two edges',
  wallToEdge: 'least distance to the body’s edge',
  floorLeft: 'wood left',
  bodyThickness: 'body thickness',
  levelDepth: 'depth of the route',
  spurDepth: 'depth at the spur’s tip',
  depthBelow: 'depth of the cavity below',
  depthLeft: 'depth left under it',
  partLowest: 'lowest point of the part',
  maxPoleOffset: 'most that poles may be off',
  polesOff: 'poles off the strings',
  polesLeft: 'left of that',
  halfDifference: 'half of the difference',
  difference: 'pole spacing less string spread',
  poleSpacing: 'pole spacing',
  spreadHere: 'string spread here',
  spreadAtNut: 'spread at the nut',
  spreadAtSaddles: 'spread at the saddles',
  widening: 'widening over the scale',
  widened: 'share of the widening',
  shareOfScale: 'share of the scale',
  fromNut: 'distance from the nut',
  nutToMouth: 'nut to the pocket’s mouth',
  rowAlong: 'row from the pocket’s mouth',
  scaleLength: 'scale length',
  two: 'two',
  projection: 'bit below the base',
  overStraightEdge: 'bit below a straight edge on the base',
  finishedDepth: 'straight edge over the template to the floor',
  templateThickness: 'template',
  straightEdge: 'straight edge',
  targetDepth: 'depth wanted',
  depthMeasured: 'depth measured',
  remainingDepth: 'still to take',
  rimDepth: 'depth of the rim',
  finished: 'finished size',
  film: 'film on both sides',
  stopFromTip: 'stop from the tip',
  drillPoint: 'point of the drill',
  pilotDiameter: 'pilot',
  screwRoot: 'root of the screw',
  pilotShare: 'share of the root in this wood',
  fenceFromLine: 'line to fence',
  baseToMiddle: 'base’s edge to the bit’s middle',
  halfCutter: 'half the bit',
  cutter: 'bit',
  railHeight: 'rails',
  sledBase: 'base of the sled',
  targetHeight: 'height wanted',
  spur: 'spur ahead of the rim',
  cuttingLength: 'cutting length',
  passDepth: 'depth of a pass',
  bearingContact: 'contact of the bearing',
  leastTemplate: 'least template thickness',
  templateX: 'template’s middle, across',
  templateY: 'template’s middle, along',
  fretPastMouth: 'last fret past the mouth of the pocket',
  lastFret: 'last fret by the twelfth-root law',
  boardPlay: 'short of the joint at most',
  angleRise: 'rise at the bridge: scale beyond the mouth × tangent of the neck’s angle',
  mostRise: 'the highest that strings stand over a top at the bridge',
  mostSink: 'the furthest that a board’s plane lies below a top there',
  riseLeft: 'left below the highest bridge',
  sinkLeft: 'left above the lowest plane',
  scaleLeft: 'scale beyond the mouth of the pocket',
  nutLeft: 'nut wider than the strings',
  nutWidth: 'width at the nut',
  bridgeLeft: 'bridge wider than the strings',
  outlineWidth: 'width of the outline',
  woodLeft: 'wood left of the whole body',
  heelPlay: 'what the board has less than the pocket, and may',
  boardEndWidth: 'width at the end of the board',
  pocketPlay: 'a pocket is wider at most by',
  edgeLeft: 'left to the body’s edge',
  filmLeft: 'film in the hole',
  bareDiameter: 'diameter in bare wood',
  holeDiameter: 'diameter, finished',
  roomRound: 'hole wider than what goes through',
  coverOver: 'wider than the hole',
  hiddenRound: 'covered all round',
  threadLeft: 'thread left over',
  nutAndWasher: 'nut and washer',
  plateThickness: 'thickness of the plate',
  woodHere: 'wood here',
  bodyToWall: 'least distance from the body’s edge to the wall',
  bodyToBody: 'least distance between the two bodies',
  holePlace: 'place of the hole',
  slotLeft: 'slot larger than the lever needs',
  slotSpan: 'the slot',
  plugLeft: 'room left behind the plug',
  holeDepth: 'depth of the bore',
  leafSwing: 'swing of the leaf',
  interference: 'part wider than its hole',
  tighterThanLeast: 'tighter than the least that holds',
  looserThanMost: 'less than the most that the wood takes',
  leastInterference: 'least interference',
  mostInterference: 'most interference',
  finishedHole: 'hole with its film',
  filmBothSides: 'film on both sides',
  filmThickness: 'film on the wall',
  headstockThickness: 'thickness of the headstock',
  headstockOver: 'thicker than the least',
  headstockUnder: 'thinner than the most',
  postToPost: 'from post to post',
  pitchLeft: 'room left over',
  hiddenUnder: 'least distance from the hole’s edge to the edge that hides it',
  inWood: 'thread in the wood',
  underPoint: 'wood under the point',
  woodBeside: 'least distance from the screw to the cavity',
  bite: 'screw thicker than its hole',
  boreLeft: 'room left in the bore',
  wiresTogether: 'wires of one kind together',
  wireCount: 'how many',
  polesLessHoles: 'poles less holes of the cover',
  coverHoleSpacing: 'outer holes of the cover',
  maxCoverHoleOffset: 'most that holes may be off',
  coverHolesLeft: 'left of that',
  holesOff: 'holes off the poles',
  drillDiameter: 'diameter',
  cavityHere: 'cavity here',
  woodBetween: 'least wood between',
  coverRaised: 'cover set higher',
  pickupRaised: 'set higher on its spacer',
  chainLeft: 'limit less what the chain is off',
};

export function labelText(label: string): string {
  if (label.startsWith('part ')) return `part: ${SIZE_WORDS[label.slice(5) as keyof typeof SIZE_WORDS].toLowerCase().replace('ø', 'Ø')}`;
  return LABELS[label] ?? label;
}

/** Every label that has a phrase. */
export const KNOWN_LABELS: readonly string[] = Object.keys(LABELS);

/** A line of a working as it is read: how deep it stands, what it is, its number, what it rests on. */
export interface WorkingLine {
  readonly depth: number;
  readonly text: string;
  readonly value: string;
  readonly limit: string;
  readonly basis: Leaf['basis'] | null;
}

const PURE = new Set(['shareOfScale', 'two', 'wireCount']);

/** A working as lines from the result down to what it rests on. */
export function workingLines(w: Working, unit: LengthUnit, depth = 0, sign: 1 | -1 | null = null): readonly WorkingLine[] {
  const prefix = sign === null ? '' : sign === 1 ? '+ ' : '− ';
  const n = valueOf(w);
  const value = PURE.has(w.label) ? n.toFixed(4) : lengthText(n, unit);
  const line: WorkingLine = { depth, text: `${prefix}${labelText(w.label)}`, value, limit: '', basis: null };
  switch (w.op) {
    case 'leaf':
      return [{ ...line, limit: w.limit > 0 ? `± ${w.limit.toFixed(2)}` : '', basis: w.basis }];
    case 'sum':
      return [line, ...w.terms.flatMap((t) => workingLines(t.of, unit, depth + 1, t.sign))];
    case 'product':
      return [line, ...workingLines(w.a, unit, depth + 1), ...times(workingLines(w.b, unit, depth + 1), '× ')];
    case 'quotient':
      return [line, ...workingLines(w.a, unit, depth + 1), ...times(workingLines(w.b, unit, depth + 1), '÷ ')];
    case 'abs':
      return [line, ...workingLines(w.of, unit, depth + 1)];
    case 'geometry':
      return [{ ...line, text: `${line.text}, from the drawing` }, ...w.allowances.flatMap((a) => workingLines(a, unit, depth + 1, 1))];
  }
}

function times(lines: readonly WorkingLine[], sign: string): readonly WorkingLine[] {
  return lines.map((l, i) => (i === 0 ? { ...l, text: sign + l.text } : l));
}
