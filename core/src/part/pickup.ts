import type { Basis, Dimension } from '../measure/index.js';
import type { Outline, Point } from '../shape/index.js';

/** An outline known from measuring or a sheet, with the limit of error of its edges, mm. */
export interface PartOutline {
  readonly outline: Outline;
  readonly limit: number;
  readonly basis: Basis;
}

/** A body of the pickup with one outline: where it begins and ends below the face it hangs from, mm. */
export interface PartLevel {
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

/** A pickup as a thing that must fit; its outlines are in its own frame, centred. */
export interface Pickup {
  readonly format: 1;
  readonly id: string;
  readonly kind: 'single-coil' | 'humbucker' | 'slim humbucker';
  readonly name: string;
  readonly levels: readonly PartLevel[];
  readonly screws: HeightScrews;
  readonly poles: Poles;
  readonly leads: number;
  /** In the smallest unit of the shop's currency. */
  readonly price: number;
  /** It is on the shelf now. */
  readonly inStock: boolean;
}

export type Part = Pickup;

/** The cover's outlines; empty for a part without one. */
export function coverOf(part: Pickup): readonly PartOutline[] {
  return part.levels.find((l) => l.id === 'cover')?.shapes ?? [];
}
