import type { Dimension } from '../measure/index.js';
import type { Point } from '../shape/index.js';
import type { PartBase } from './hardware.js';
import type { LeadsFound } from './leads-found.js';
import type { PartOutline } from './part-outline.js';
import type { SizeId } from './sizes.js';

/** A body of the pickup with one outline: where it begins and ends below the face it hangs from, mm. */
export interface PartTier {
  readonly id: 'cover' | 'base' | 'ears';
  readonly shapes: readonly PartOutline[];
  /** Above the face is negative. */
  readonly from: number;
  readonly lowest: Dimension;
}

/** The height screws: where they go down, how thick they are, and how deep their points reach, mm. */
export interface HeightScrews {
  readonly at: readonly Point[];
  readonly diameter: number;
  readonly lowest: Dimension;
}

/** The rows of poles: distance between the outer poles, and each row's place along the strings, mm. */
export interface Poles {
  readonly spacing: Dimension;
  readonly rows: readonly number[];
}

/** Sizes of a pickup that not everybody measures: how far it can go down and up, its poles and the holes in its cover, its lead. */
export const PICKUP_SIZES = ['travelDown', 'travelUp', 'poleDiameter', 'coverHoleSpacing', 'coverHole', 'leadDiameter'] as const satisfies readonly SizeId[];
export type PickupSizeId = (typeof PICKUP_SIZES)[number];

/** One coil, as its sheet or a meter tells it; null is not known. */
export interface Coil {
  readonly name: string;
  readonly ohms: number | null;
  readonly henry: number | null;
  readonly picofarad: number | null;
  /** Ω across the inductance: what cover, base and steel take. */
  readonly loss?: number | null;
  /** Of the wire, 42 to 44. */
  readonly wireGauge: number | null;
  /** Seen from above, from its start. */
  readonly winding: 'clockwise' | 'anticlockwise' | null;
  /** The pole that faces the strings. */
  readonly magnet: 'north' | 'south' | null;
}

/** What a lead of a pickup is: the start or the end of a coil, by the coil's name, or a ground. */
export interface Lead {
  readonly colour: string;
  readonly is: string;
}

/** How the cover and the base plate are grounded: not at all, with a coil's end, or by a wire of their own. */
export const COVER_GROUNDS = ['no metal', 'with the coil', 'own wire'] as const;
export type CoverGround = (typeof COVER_GROUNDS)[number];

export const PICKUP_KINDS = [
  'single-coil',
  'plate single-coil',
  'humbucker',
  'slim humbucker',
  'small humbucker',
  'soapbar',
  'dog-eared',
  'bass slim',
  'bass split half',
  'bass soapbar',
] as const;
export type PickupKind = (typeof PICKUP_KINDS)[number];

/** A pickup as a thing that must fit; its outlines are in its own frame, centred. */
export interface Pickup extends PartBase {
  readonly kind: PickupKind;
  readonly tiers: readonly PartTier[];
  readonly screws: HeightScrews;
  readonly poles: Poles;
  readonly leads: number;
  readonly sizes?: Readonly<Partial<Record<PickupSizeId, Dimension>>>;
  readonly strings?: number;
  readonly colours?: readonly Lead[];
  readonly coils?: readonly Coil[];
  readonly coverGround?: CoverGround;
  /** The meter readings by which its leads are known. */
  readonly leadsFound?: LeadsFound;
}

export function isPickup(part: { readonly kind: string }): part is Pickup {
  return (PICKUP_KINDS as readonly string[]).includes(part.kind);
}

/** The cover's outlines; empty for a part without one. */
export function coverOf(part: Pickup): readonly PartOutline[] {
  return part.tiers.find((l) => l.id === 'cover')?.shapes ?? [];
}
