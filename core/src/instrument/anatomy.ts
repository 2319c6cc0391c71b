import type { Basis, Dimension } from '../measure/index.js';
import type { Outline, Placement, Point } from '../shape/index.js';

/** The face of the body's wood that a cavity or a plate belongs to. z goes into the wood from it. */
export type Face = 'top' | 'back';

/** Every face that can have a hole; positions on the headstock are in its own frame, at the fingerboard in the neck's. */
export type HoleFace = Face | 'side' | 'headstock front' | 'headstock back' | 'fingerboard';

/** What state a feature is in. */
export type Condition = 'sound' | 'stripped' | 'cracked' | 'plugged' | 'chipped';

/** An outline on the instrument: the limit of error of its edges, and the two check widths that vouch for it, mm. */
export interface FeatureOutline {
  readonly outline: Outline;
  readonly limit: number;
  readonly basis: Basis;
  readonly across: Dimension | null;
  readonly along: Dimension | null;
}

/** One level of a cavity: everything inside its outline is cut away down to its depth, mm. */
export interface Level {
  readonly id: string;
  /** Which cut it belongs to: the old route and a new one are told apart by this. */
  readonly set: string;
  readonly outline: FeatureOutline;
  /** In the middle of its floor. */
  readonly depth: Dimension | null;
  /** How much deeper its floor is at one end than at the other, mm; not there: level, or nobody said. */
  readonly fall?: Dimension | null;
  /** A bored place: its depth is that of the spur's tip. */
  readonly bored: boolean;
}

/** A cavity in a face, as a list of levels. */
export interface Cavity {
  readonly id: string;
  readonly name: string;
  readonly kind: 'route' | 'neck pocket' | 'control' | 'recess' | 'slot' | 'channel' | 'other';
  readonly face: Face;
  readonly frame: string;
  readonly levels: readonly Level[];
  /** The plate that hides it; null when it shows. */
  readonly hiddenBy: string | null;
  readonly condition: Condition;
  /** The part of the shelf that sits here, where one is known. */
  readonly part?: string | null;
  /** How far its cover stands off on a spacer, mm; not there: it lies on the wood. */
  readonly raised?: Dimension;
  /** Cavities that it runs into on purpose, by their ids: no wall is asked for where they meet. */
  readonly joins?: readonly string[];
}

export const HOLE_KINDS = ['pot', 'switch', 'jack', 'tuner', 'string', 'stud', 'screw', 'wire', 'other'] as const;
export type HoleKind = (typeof HOLE_KINDS)[number];

/** A round hole by its axis, in the frame of its face. A hole that goes through has no depth. */
export interface Hole {
  readonly id: string;
  readonly name: string;
  readonly kind: HoleKind;
  readonly face: HoleFace;
  readonly frame: string;
  readonly at: Point;
  /** Finished, with the film in it, mm. */
  readonly diameter: Dimension | null;
  /** In the bare wood, mm. */
  readonly bare: Dimension | null;
  readonly through: boolean;
  readonly depth: Dimension | null;
  /** Limit of its position, mm, and where that is from. */
  readonly limit: number;
  readonly basis: Basis;
  /** The plate that hides it; null when it shows. */
  readonly hiddenBy: string | null;
  readonly condition: Condition;
  /** The part of the shelf that sits here, where one is known. */
  readonly part?: string | null;
  /** What sits here is held by a drop of thin glue. */
  readonly glued?: true;
}

/** A piece that closes an opening of a plate and has a slot of its own. */
export interface Insert {
  readonly id: string;
  readonly name: string;
  readonly fitted: boolean;
  readonly slot: FeatureOutline;
}

export interface Opening {
  readonly id: string;
  readonly name: string;
  readonly outline: FeatureOutline;
  readonly insert: Insert | null;
}

export interface PlateScrew extends Point {
  readonly gauge: number;
}

/** A flat part that lies on a face and may hide what is under it: a plate, a guard, the footprint of a bridge. Its outlines are in its own frame. */
export interface Plate {
  readonly id: string;
  readonly name: string;
  readonly face: Face;
  readonly frame: string;
  readonly outline: FeatureOutline;
  readonly thickness: Dimension | null;
  readonly openings: readonly Opening[];
  readonly screws: readonly PlateScrew[];
  readonly kind: 'plate' | 'guard' | 'ring' | 'bridge' | 'tailpiece' | 'tremolo' | 'other';
  readonly condition: Condition;
  /** The part of the shelf that sits here, where one is known. */
  readonly part?: string | null;
}

/** A place for a pickup: the cavity it sits in, the opening it hangs in, where its middle is (body frame), and what is there. */
export interface PickupPosition {
  readonly id: string;
  readonly name: string;
  readonly cavity: string;
  readonly plate: string;
  readonly opening: string;
  readonly at: Point;
  /** How far it is turned about its middle, degrees; positive takes its treble end towards the bridge. Not there: square to the centre line. */
  readonly turn?: number;
  /** The first and the last of the strings that lie over it, 1 the highest; in courses they count as one. Not there: all of them. */
  readonly strings?: readonly [number, number];
  readonly part: string | null;
  /** How high the strings lie over the face here, held down at the last fret, mm; not there: nobody knows. */
  readonly stringHeight?: Dimension | null;
  /** How much higher the part sits on a spacer or a taller ring, mm; not there: as it came. */
  readonly raised?: Dimension;
  /** What was cut off the part that sits here. */
  readonly trimmed?: TrimmedPickup;
  /** It has another cover than it came with: how far apart the outer holes of that are, mm. */
  readonly coverHoles?: Dimension;
}

/** What was cut off a pickup: off its ears all round, off the length of its height screws, and by how much its ears were bent up, mm. */
export interface TrimmedPickup {
  readonly ears: number;
  readonly screws: number;
  readonly bent?: number;
}

/** A frame other than the body's, by where it lies in the body's. */
export interface Frame {
  readonly id: string;
  readonly at: Placement;
}

export interface Strings {
  readonly count: number;
  /** Between the outermost strings, square to the centre line. */
  readonly spreadAtNut: Dimension | null;
  readonly spreadAtSaddles: Dimension | null;
  /** They lie in pairs, the two of a pair so far apart; not there: each by itself. */
  readonly courses?: { readonly apart: Dimension | null };
}

export interface Neck {
  /** On a fanned board that of the highest string. */
  readonly scale: Dimension | null;
  /** Of the lowest string, where it differs. */
  readonly scaleBass: Dimension | null;
  readonly frets: number;
  readonly zeroFret: boolean;
  /** On a fanned board the fret that lies square to the centre line. */
  readonly squareFret: number;
  readonly nutWidth: Dimension | null;
  readonly endWidth: Dimension | null;
  /** Of the fingerboard; null where it is flat or unknown. */
  readonly radius: Dimension | null;
  /** Of neck and board together, at the first and the twelfth fret. */
  readonly thicknessFirst: Dimension | null;
  readonly thicknessTwelfth: Dimension | null;
  /** Of the board's plane against the body's top, degrees, positive backwards; not there on an instrument of which nobody said it. */
  readonly angle?: Dimension | null;
  /** The board's top over the body's top at the joint; not there while nobody read it. A deeper pocket lowers it. */
  readonly jointHeight?: Dimension | null;
  /** Of the heel with its board, where the screws go in; not there while nobody read it. */
  readonly heelThickness?: Dimension | null;
  /** Of a shim under the heel, at the screws; not there where none lies there, or nobody said. */
  readonly shim?: Dimension | null;
  /** What gives the scale beside itself: from the first fret to the thirteenth, from the nut to the twelfth, from the nut to the saddle of the highest string. */
  readonly firstToThirteenth?: Dimension | null;
  readonly nutToTwelfth?: Dimension | null;
  readonly nutToSaddle?: Dimension | null;
  /** From the nut (a zero fret's crown; on a fanned board the highest string's end) to the body's origin, where the centre line meets the pocket's mouth. */
  readonly nutToMouth: Dimension | null;
}

export interface Body {
  readonly outline: FeatureOutline | null;
  readonly thickness: Dimension | null;
  /** Height of a carved or bevelled surface above the top's plane at the edge. */
  readonly carve: { readonly kind: 'flat' | 'carved' | 'bevelled'; readonly height: Dimension | null };
}

export interface Headstock {
  readonly outline: FeatureOutline | null;
  readonly thickness: Dimension | null;
  /** Backwards from the board's plane, degrees. */
  readonly tilt: number;
}

/** An instrument to scale. x across, positive to the treble side of a right-handed one; y towards the bridge; z into the wood; mm. */
export interface Anatomy {
  readonly format: 2;
  /** A left-handed instrument is stored like a right-handed one and seen mirrored. */
  readonly handed: 'right' | 'left';
  readonly frames: readonly Frame[];
  readonly strings: Strings;
  readonly neck: Neck;
  readonly body: Body;
  readonly headstock: Headstock;
  readonly cavities: readonly Cavity[];
  readonly holes: readonly Hole[];
  readonly plates: readonly Plate[];
  readonly positions: readonly PickupPosition[];
  /** Where things are, as it was measured; the positions follow from these. */
  readonly distances: readonly Distance[];
  /** Doubts that were looked at and overruled, with the reason. */
  readonly insisted: readonly { readonly doubt: string; readonly because: string }[];
}

/** An edge that a calliper or rule is laid to: of a feature, or a line of the instrument. */
export interface Edge {
  /** A feature's id, or a datum. */
  readonly of: string;
  /** low: bass side or nut side; high: treble side or bridge side; middle. A datum has only its middle. */
  readonly side: 'low' | 'middle' | 'high';
}

/** The lines that positions are stated from: x = 0, y = 0, and y at the nut. */
export type Datum = 'centre line' | 'pocket mouth' | 'nut';
export const DATUMS: readonly Datum[] = ['centre line', 'pocket mouth', 'nut'];

/** How far it is from one edge to another along an axis, mm; positive to the treble side or towards the bridge. */
export interface Distance {
  readonly id: string;
  readonly axis: 'across' | 'along';
  readonly from: Edge;
  readonly to: Edge;
  readonly value: number;
  readonly limit: number;
  /** What was typed. */
  readonly raw: string;
}

export const BODY_FRAME = 'body';
/** The nut's: y from the nut towards the bridge. */
export const NECK_FRAME = 'neck';
/** The headstock's, laid flat: its origin is the nut too. */
export const HEADSTOCK_FRAME = 'headstock';
