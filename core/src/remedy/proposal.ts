import type { Choice } from '../check/index.js';
import type { HoleSteps } from '../cut/index.js';
import type { TrimmedPickup } from '../instrument/index.js';
import type { Lack } from '../part/index.js';

/** A remedy, by its name. */
export type RemedyKind = string;

/** What a remedy puts in the place of what a choice has; its work stands beside what is there. */
export type Sets<C extends Choice = Choice> = Partial<Omit<C, 'kind' | 'id' | 'alternatives'>>;

/** A remedy, as what it would set and what it would take. It judges nothing. */
export interface Proposal<C extends Choice = Choice> {
  /** Stable: kind and part. */
  readonly id: string;
  readonly kind: RemedyKind;
  readonly sets: Sets<C>;
  /** The remedies that it cannot be combined with, though they set other things; all: it stands alone. */
  readonly excludes?: readonly RemedyKind[] | 'all';
  /** How likely it is to go wrong, 0 to 1. */
  readonly risk: number;
  /** In the smallest unit of currency. */
  readonly price: number;
  /** What is missing in the shop: tools, parts, wood. */
  readonly lacks: readonly Lack[];
  /** The drills that open a hole. */
  readonly steps?: HoleSteps;
  /** Working time aside: glue that cures, minutes. */
  readonly wait?: number;
  /** What is cut off a pickup. */
  readonly trimmed?: TrimmedPickup;
  /** The number that matters: how wide, how deep, how far, mm. */
  readonly by?: number;
}

/** A way out: one remedy, or a few together, as the one choice that they make. */
export interface WayOut<C extends Choice = Choice> extends Pick<Proposal, 'id' | 'kind' | 'risk' | 'price' | 'lacks' | 'wait'> {
  readonly choice: C;
  /** What it is made of. */
  readonly of: readonly Proposal[];
}
