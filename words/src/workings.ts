import { valueOf, type Leaf, type LengthUnit, type Working } from '@rinnovo/core/measure';
import { lengthText } from './length.js';
import { SIZE_WORDS } from './parts.js';
import { fixed } from './locale.js';

const LABELS: Readonly<Record<string, string>> = {
  outline: 'edge of the outline',
  holeEdge: 'edge of the hole',
  partOutline: 'edge of the part',
  plateBack: 'plate put back',
  roomInside: 'smallest distance from the part to the edge of the route',
  edgeBehindWindow: 'smallest distance from the window to the edge of the route',
  hiddenEdge: 'smallest distance from the route to the edge of the plate',
  wallBetween: 'smallest distance between the two edges',
  wallToEdge: 'smallest distance to the edge of the body',
  floorLeft: 'wood left',
  bodyThickness: 'body thickness',
  levelDepth: 'depth of the route',
  floorFall: 'half of the fall of the floor',
  spurDepth: 'depth at the spur’s tip',
  depthBelow: 'depth of the cavity below',
  depthLeft: 'depth left',
  playThatGlueFills: 'play that glue fills',
  glueFills: 'most that thin glue fills',
  toStrings: 'cover to the strings',
  stringHeight: 'string height over the face',
  coverTop: 'cover above the face',
  letDown: 'cover to the strings, let down',
  withinReach: 'remaining',
  mostToStrings: 'maximum distance to the strings',
  partLowest: 'lowest point of the part',
  maxPoleOffset: 'maximum pole offset',
  polesOff: 'pole offset from the strings',
  polesLeft: 'remaining',
  halfDifference: 'half of the difference',
  poleBeside: 'pole less string',
  poleAcross: 'pole from the centre line',
  rowAcross: 'middle of the pole row from the centre line',
  halfSpacing: 'half of the pole spacing',
  halfTurned: 'half of it, turned with the pickup',
  cosine: 'cosine of the turn',
  stringAcross: 'string from the centre line',
  shareOfSpread: 'share of the spread from the middle',
  middlesSpread: 'spread of the middles of the courses',
  courseApart: 'distance within a course',
  halfCourse: 'half of a course',
  half: 'half',
  longerBy: 'bass scale less treble scale',
  longerScale: 'longer scale of this string',
  shareFromTreble: 'share of the strings from the highest',
  ownScale: 'scale of this string',
  nutFurther: 'its nut lies further out',
  squareAt: 'share of the scale up to the square fret',
  nutBehind: 'nut behind the zero fret',
  slotToSaddle: 'nut slot to saddle',
  scaleLengthBass: 'bass scale length',
  poleSpacing: 'pole spacing',
  spreadHere: 'string spread here',
  spreadAtNut: 'spread at the nut',
  spreadAtSaddles: 'spread at the saddles',
  widening: 'widening over the scale',
  widened: 'share of the widening',
  shareOfScale: 'share of the scale',
  fromNut: 'distance from the nut',
  firstToThirteenth: 'first to thirteenth fret',
  shareOfFrets: 'their share of the scale',
  scaleByFrets: 'scale by two frets',
  nutToTwelfth: 'nut to the twelfth fret',
  twice: 'doubled',
  nutShort: 'a compensated nut is nearer',
  scaleByTwelfth: 'scale by the twelfth fret',
  nutToSaddle: 'nut to the saddle',
  saddleBeyond: 'compensation of the saddle',
  scaleBySaddle: 'scale by the saddle',
  scaleDifference: 'difference',
  scalesApart: 'apart',
  scaleAllowed: 'allowed by the tools',
  scalesAgree: 'remaining',
  riseForJoint: 'rise at the steepest usual angle',
  nutToMouth: 'nut to the mouth of the neck pocket',
  rowAlong: 'pole row from the mouth of the neck pocket',
  scaleLength: 'scale length',
  two: 'two',
  stackThere: 'straight edge and template here',
  stackLeft: 'left for straight edge and template',
  depthSo: 'depth of the cut so',
  setUpRead: 'reading',
  projection: 'bit below the base',
  overStraightEdge: 'bit below a straight edge on the base',
  finishedDepth: 'straight edge over the template to the floor',
  templateThickness: 'template',
  straightEdge: 'straight edge',
  targetDepth: 'target depth',
  depthMeasured: 'depth read',
  remainingDepth: 'still to cut',
  rimDepth: 'depth of the rim',
  finished: 'finished size',
  film: 'film on both sides',
  stopFromTip: 'stop from the tip',
  drillPoint: 'point of the drill',
  carveLean: 'lean of a router on the rise of the top',
  carveRise: 'rise of the top here, its curve unknown',
  pointTaper: 'taper of the point at that edge',
  pilotDiameter: 'pilot',
  screwRoot: 'root of the screw',
  pilotShare: 'share of the root in this wood',
  fenceFromLine: 'line to fence',
  baseToMiddle: 'edge of the base to the centre of the bit',
  halfCutter: 'half the bit',
  cutter: 'bit',
  railHeight: 'rails',
  sledBase: 'base of the sled',
  targetHeight: 'target height',
  spur: 'spur ahead of the rim',
  cuttingLength: 'cutting length',
  passDepth: 'depth of a pass',
  bearingContact: 'bearing contact',
  leastTemplate: 'minimum template thickness',
  templateX: 'template centre, offset across',
  templateY: 'template centre, offset along',
  fretPastMouth: 'last fret past the mouth of the neck pocket',
  lastFret: 'last fret by the twelfth-root law',
  boardPlay: 'maximum distance short of the joint',
  angleRise: 'rise at the bridge: scale beyond the mouth × tangent of the neck angle',
  mostRise: 'maximum string height over a top at the bridge',
  mostSink: 'maximum depth of the fret plane below a top there',
  riseLeft: 'left below the highest bridge',
  sinkLeft: 'left above the lowest plane',
  scaleLeft: 'scale beyond the mouth of the neck pocket',
  nutLeft: 'nut wider than the strings',
  nutWidth: 'width at the nut',
  bridgeLeft: 'bridge wider than the strings',
  outlineWidth: 'width of the outline',
  woodLeft: 'wood left of the whole body',
  heelPlay: 'fingerboard narrower than the neck pocket, within its play',
  boardEndWidth: 'width at the end of the fingerboard',
  pocketPlay: 'maximum play of a neck pocket',
  edgeLeft: 'left to the edge of the body',
  filmLeft: 'film in the hole',
  bareDiameter: 'diameter in bare wood',
  holeDiameter: 'diameter, finished',
  roomRound: 'hole wider than the part through it',
  coverOver: 'wider than the hole',
  hiddenRound: 'covered all around',
  threadLeft: 'thread left over',
  nutAndWasher: 'nut and washer',
  plateThickness: 'thickness of the plate',
  woodHere: 'wood here',
  bodyToWall: 'smallest distance from the body to the wall',
  bodyToBody: 'smallest distance between the two bodies',
  holePlace: 'position of the hole',
  slotLeft: 'slot longer than the lever needs',
  slotSpan: 'the slot',
  plugLeft: 'clearance behind the plug',
  holeDepth: 'hole depth',
  leafSwing: 'swing of the leaf',
  interference: 'part wider than its hole',
  tighterThanLeast: 'above the minimum interference',
  looserThanMost: 'below the maximum interference',
  leastInterference: 'minimum interference',
  mostInterference: 'maximum interference',
  finishedHole: 'finished hole',
  filmBothSides: 'film on both sides',
  filmThickness: 'film on the wall',
  headstockThickness: 'thickness of the headstock',
  headstockOver: 'above the minimum',
  headstockUnder: 'below the maximum',
  postToPost: 'from post to post',
  pitchLeft: 'clearance left',
  hiddenUnder: 'smallest distance from the hole to the edge of its cover',
  inWood: 'thread in the wood',
  inHeel: 'thread in the heel',
  heelThickness: 'heel with its fingerboard',
  shimThickness: 'shim under the heel',
  pocketDepth: 'depth of the neck pocket',
  screwPlay: 'play around the shank',
  plateHole: 'hole in the plate',
  screwShank: 'shank that it is made for',
  plateHolePlay: 'usual play',
  knobPlay: 'bore over the shaft',
  knobPlayLeft: 'less than the maximum play',
  mostKnobPlay: 'maximum play',
  collarProud: 'collar off the bushing',
  proudLeft: 'less than the maximum height',
  maxStudProud: 'maximum height at the lowest',
  headOverHole: 'head wider than the hole',
  underPoint: 'wood under the point',
  woodBeside: 'smallest distance from the screw to the cavity',
  bite: 'thread engagement',
  boreLeft: 'clearance in the bore',
  wiresPacked: 'wires packed in a circle',
  polesLessHoles: 'pole spacing less cover hole spacing',
  coverHoleSpacing: 'outer cover holes',
  maxCoverHoleOffset: 'maximum cover hole offset',
  coverHolesLeft: 'remaining',
  holesOff: 'cover hole offset from the poles',
  drillDiameter: 'diameter',
  dowelDiameter: 'dowel',
  cavityHere: 'cavity here',
  woodBetween: 'smallest wood between',
  coverRaised: 'cover raised',
  pickupRaised: 'raised on its spacer',
  chainLeft: 'limit less the error of the chain',
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

const PURE = new Set(['shareOfScale', 'two', 'half', 'cosine', 'shareOfSpread', 'shareFromTreble', 'squareAt']);

/** A working as lines from the result down to what it rests on. */
export function workingLines(w: Working, unit: LengthUnit, depth = 0, sign: 1 | -1 | null = null): readonly WorkingLine[] {
  const prefix = sign === null ? '' : sign === 1 ? '+ ' : '− ';
  const n = valueOf(w);
  const value = PURE.has(w.label) ? fixed(n, 4) : lengthText(n, unit);
  const line: WorkingLine = { depth, text: `${prefix}${labelText(w.label)}`, value, limit: '', basis: null };
  switch (w.op) {
    case 'leaf':
      return [{ ...line, limit: w.limit > 0 ? `± ${fixed(w.limit, 2)}` : '', basis: w.basis }];
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
