import type { PickupChoice } from '../check/index.js';
import type { OperationKind } from '../operation/index.js';

export type RemedyKind = 'keep' | 'anotherPart' | 'reroute';

/** A way out, as the plan that it would make and what it would take. It judges nothing. */
export interface Proposal {
  /** Stable: kind and part. */
  readonly id: string;
  readonly kind: RemedyKind;
  readonly choice: PickupChoice;
  readonly operations: readonly OperationKind[];
  /** How likely it is to go wrong, 0 to 1. */
  readonly risk: number;
  /** In the smallest unit of currency. */
  readonly price: number;
}
