import {
  isDatum,
  seenSide,
  type AddedKind,
  type Condition,
  type Datum,
  type Distance,
  type Doubt,
  type DoubtId,
  type Edge,
  type FeatureChange,
  type ScaleWay,
  type SeenAs,
  type StartingKind,
} from '@rinnovo/core/instrument';
import { valueOf, type LengthUnit } from '@rinnovo/core/measure';
import { lengthText } from './length.js';
import { lowerFirst, nameOf, upperFirst, type Names } from './names.js';

/** Where something was said of an instrument. */
export const MENTION_WORDS = { job: 'Job', finding: 'Finding', reason: 'Reason', part: 'Parts', step: 'Ledger' } as const;

/** What an instrument that has just arrived is nearest to, as the technician says it. */
export const STARTING_WORDS: Readonly<Record<StartingKind, { readonly name: string }>> = {
  'bolt-on solid': { name: 'Solid body, bolt-on neck' },
  'set-neck solid': { name: 'Solid body, set neck' },
  'semi-hollow': { name: 'Semi-hollow' },
  'flat-top acoustic': { name: 'Flat-top acoustic' },
  bass: { name: 'Bass' },
  'found object': { name: 'Found object' },
};

export const ADDED_WORDS: Readonly<Record<AddedKind, string>> = {
  'pickup route': 'Pickup route',
  'control cavity': 'Control cavity',
  recess: 'Recess',
  slot: 'Slot',
  channel: 'Wire channel',
  'neck pocket': 'Neck pocket',
  hole: 'Hole',
  plate: 'Plate',
  guard: 'Guard',
  ring: 'Ring',
  'bridge footprint': 'Bridge',
};

export const CONDITION_WORDS: Readonly<Record<Condition, string>> = {
  sound: 'sound',
  stripped: 'stripped',
  cracked: 'cracked',
  plugged: 'plugged',
  chipped: 'chipped',
};

export const DATUM_WORDS: Readonly<Record<Datum, string>> = {
  'centre line': 'centre line',
  'pocket mouth': 'mouth of the neck pocket',
  nut: 'front edge of the nut',
};

/** Which edge of a feature, along an axis. */
export function sideText(side: Edge['side'], axis: 'across' | 'along'): string {
  if (side === 'middle') return 'centre';
  if (axis === 'across') return side === 'low' ? 'bass edge' : 'treble edge';
  return side === 'low' ? 'nut edge' : 'bridge edge';
}

/** An edge in words: `bridge edge of the neck pocket`. */
export function edgeText(edge: Edge, axis: Distance['axis'], names: Names): string {
  if (isDatum(edge.of)) return DATUM_WORDS[edge.of];
  return `${sideText(edge.side, axis)} of the ${nameOf(names, edge.of)}`;
}

export function distanceText(d: Distance, names: Names): string {
  return `${edgeText(d.from, d.axis, names)} to ${edgeText(d.to, d.axis, names)}`;
}

/** A way to the scale, as a line is headed. */
export const SCALE_WAY_WORDS: Readonly<Record<ScaleWay, string>> = {
  frets: 'Frets 1 to 13',
  twelfth: 'Nut to 12th fret, doubled',
  saddle: 'Nut to saddle, less its compensation',
};

const wayWord = (way: string | undefined): string =>
  way === 'stated' || way === undefined ? 'the stated scale' : lowerFirst(SCALE_WAY_WORDS[way as ScaleWay]);

const DOUBTS: Readonly<Record<DoubtId, (of: string, by: string, features: readonly string[]) => string>> = {
  fretsShortOfBody: (_, by) => `The last fret lies ${by} too far from the body for any joint. Check the scale, the frets and the distance to the neck pocket.`,
  boardBeyondBridge: (_, by) => `The neck pocket starts ${by} beyond the scale length.`,
  stringsOffNut: (_, by) => `The outer strings are ${by} wider apart than the nut.`,
  stringsOffBridge: (of, by) => `The outer strings are ${by} wider apart than the ${of}.`,
  deeperThanBody: (of, by) => `The ${of} breaks through the other face by ${by}.`,
  pocketAgainstHeel: (of, by) => `The ${of} is ${by} too wide for the end of the fingerboard.`,
  holeAtEdge: (of, by) => `The ${of} breaks out of the edge of the body by ${by}.`,
  cavityOutside: (of, by) => `The ${of} lies ${by} outside the body.`,
  bareSmaller: (of, by) => `The ${of} is ${by} wider finished than in bare wood.`,
  angleTooSteep: (_, by) => `The neck angle lifts the strings ${by} higher than any bridge.`,
  angleForward: (_, by) => `The neck angle drops the fret plane ${by} too far below the top.`,
  angleForJoint: (_, by) => `That is steep for this joint: it lifts the fret plane at the bridge ${by} more than such necks do.`,
  scaleWays: (_, by, [, a, b]) => `The scale differs by ${by} more than the tools allow: ${wayWord(a)} against ${wayWord(b)}. Measure both again.`,
  chainOpen: (_, by) => `A chain of distances does not close: ${by} beyond its limit.`,
};

/** Why something cannot be, with by how much. */
export function doubtText(d: Doubt, names: Names, unit: LengthUnit): string {
  return DOUBTS[d.id](nameOf(names, d.features[0]), lengthText(-valueOf(d.by), unit), d.features);
}

/** What became of a feature between two revisions. */
export function featureChangeText(c: FeatureChange, unit: LengthUnit): string {
  const signed = (mm: number): string => `${mm > 0 ? '+' : ''}${lengthText(mm, unit)}`;
  switch (c.kind) {
    case 'added':
      return `${c.name}: added`;
    case 'gone':
      return `${c.name}: removed`;
    case 'moved':
      return `${c.name}: moved ${signed(c.across)} across, ${signed(c.along)} along`;
    case 'resized':
      return `${c.name}: ${signed(c.wider)} wider, ${signed(c.longer)} longer`;
  }
}

export const IDENTITY_WORDS = {
  year: 'Year',
  neckJoint: 'Neck joint',
  bodyWood: 'Body wood',
  neckWood: 'Neck wood',
  boardWood: 'Fingerboard wood',
  finish: 'Finish',
  weight: 'Weight',
  balance: 'Balance point',
  colour: 'Colour',
  bridge: 'Bridge',
  electronics: 'Electronics',
  routing: 'Routing',
} as const;

/** How a drawing lies before the eye: `left-handed, seen from the top`. */
export function seenText({ handed, face, mirrored }: SeenAs): string {
  return `${handed}-handed, seen from the ${face}${mirrored ? ', mirrored' : ''}`;
}

/** The same for who holds it: `Left-handed, seen from the top: the treble side is on the left.` */
export function handText(seen: SeenAs): string {
  return `${upperFirst(seenText(seen))}: the treble side is on the ${seenSide(seen) > 0 ? 'right' : 'left'}.`;
}

/** How far across a place is, by the side that it is on: `15.2 mm treble`. */
export function acrossText(x: number, unit: LengthUnit): string {
  const far = lengthText(Math.abs(x), unit);
  return Math.abs(x) < 0.005 ? `${far}, on the centre line` : `${far} ${x > 0 ? 'treble' : 'bass'}`;
}

/** What is counted of a job to say how far it is. */
interface Counted {
  readonly places: number;
  readonly decided: number;
  readonly open: number;
  readonly done: number;
  readonly parts: number;
  readonly consents: number;
}

/** How far a job is, as a list says it: the stage that it stands at, what is to be done next, and what it waits for. Without a job an instrument has only arrived. */
export function progressText(p: Counted | null): { readonly stage: string; readonly next: string; readonly waits: string } {
  return { ...stageText(p), waits: p === null ? '' : waitsText(p) };
}

function waitsText({ parts, consents }: Counted): string {
  const what = [parts === 0 ? '' : parts === 1 ? '1 part' : `${parts} parts`, consents === 0 ? '' : 'the owner’s consent'].filter(Boolean);
  return what.length === 0 ? '' : `waits for ${what.join(' and ')}`;
}

function stageText(p: Counted | null): { readonly stage: string; readonly next: string } {
  if (p === null) return { stage: 'arrived', next: 'open a job' };
  if (p.places === 0) return { stage: 'job open', next: 'choose a part' };
  if (p.decided < p.places) return { stage: 'planning', next: `decide ${p.places - p.decided} of ${p.places} ${p.places === 1 ? 'place' : 'places'}` };
  if (p.open > 0) return { stage: p.done > 0 ? 'on the bench' : 'ready for the bench', next: `${p.open} of ${p.open + p.done} operations to do` };
  return { stage: 'done', next: 'hand over' };
}
