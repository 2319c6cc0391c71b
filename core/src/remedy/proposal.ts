import type { Choice } from '../check/index.js';
import type { HoleSteps } from '../cut/index.js';
import type { TrimmedPickup } from '../instrument/index.js';
import type { Lack } from '../part/index.js';

/** A remedy, by its name. */
export type RemedyKind = string;

/** A way out, as the choice that it would make and what it would take. It judges nothing. */
export interface Proposal<C extends Choice = Choice> {
  /** Stable: kind and part. */
  readonly id: string;
  readonly kind: RemedyKind;
  readonly choice: C;
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
