import type { Basis, Dimension } from '../measure/index.js';
import type { Outline, Placement, Point } from '../shape/index.js';

/** The face of the wood that a feature is cut from. z goes into the wood from it. */
export type Face = 'top' | 'back';

/** An outline on the instrument: the limit of error of its edges, and the two check widths that vouch for it, mm. */
export interface FeatureOutline {
  readonly outline: Outline;
  readonly limit: number;
  readonly basis: Basis;
  readonly across: Dimension | null;
  readonly along: Dimension | null;
}

/** One level of a cavity: everything inside its outline is cut away down to its depth, mm. */
export interface Pocket {
  readonly id: string;
  /** Which cut it belongs to: the old route and a new one are told apart by this. */
  readonly set: string;
  readonly outline: FeatureOutline;
  readonly depth: Dimension | null;
  /** A bored place: its depth is that of the spur's tip. */
  readonly bored: boolean;
}

/** A hollow in a face, as a list of pockets. */
export interface Cavity {
  readonly id: string;
  readonly name: string;
  readonly kind: 'route' | 'neck pocket' | 'control' | 'other';
  readonly face: Face;
  readonly frame: string;
  readonly pockets: readonly Pocket[];
  /** The plate that hides it; null when it shows. */
  readonly hiddenBy: string | null;
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

/** A flat part that lies on a face and may hide what is under it; its outlines are in its own frame. */
export interface Plate {
  readonly id: string;
  readonly name: string;
  readonly face: Face;
  readonly frame: string;
  readonly outline: FeatureOutline;
  readonly thickness: Dimension | null;
  readonly openings: readonly Opening[];
  readonly screws: readonly PlateScrew[];
}

/** A place for a pickup: the cavity it sits in, the opening it hangs in, where its middle is (body frame), and what is there. */
export interface PickupPosition {
  readonly id: string;
  readonly name: string;
  readonly cavity: string;
  readonly plate: string;
  readonly opening: string;
  readonly at: Point;
  readonly part: string | null;
}

/** A frame other than the body's, by where it lies in the body's. */
export interface Frame {
  readonly id: string;
  readonly at: Placement;
}

export interface Strings {
  readonly count: number;
  readonly spreadAtNut: Dimension | null;
  readonly spreadAtSaddles: Dimension | null;
}

export interface Neck {
  readonly scale: Dimension | null;
  readonly frets: number;
  /** From the nut to the body's origin, where the centre line meets the pocket's mouth. */
  readonly nutToMouth: Dimension | null;
}

export interface Body {
  readonly outline: FeatureOutline | null;
  readonly thickness: Dimension | null;
}

/** An instrument to scale. x across, positive to the treble side of a right-handed one; y towards the bridge; z into the wood; mm. */
export interface Anatomy {
  readonly format: 1;
  readonly frames: readonly Frame[];
  readonly strings: Strings;
  readonly neck: Neck;
  readonly body: Body;
  readonly cavities: readonly Cavity[];
  readonly plates: readonly Plate[];
  readonly positions: readonly PickupPosition[];
}

export const BODY_FRAME = 'body';
