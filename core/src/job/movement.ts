import type { MovementReason } from '../part/index.js';

/** One movement of a drawer: only ever added. What lies in a drawer is the sum of what moved; what is reserved lies there still. */
export interface Movement {
  readonly item: string;
  /** How many, or how much in the unit of the material; below 0 what went out. */
  readonly amount: number;
  readonly why: MovementReason;
  /** For which decision, by which step. */
  readonly decision?: string;
  readonly entry?: string;
  readonly note?: string;
}
