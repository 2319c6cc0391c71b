import type { Verdict } from '../check/index.js';

/** What going back to the part that was there would need, judged in the anatomy that a plan would leave. */
export interface WayBack {
  readonly part: string | null;
  /** Put the insert back into its opening. */
  readonly needsInsert: boolean;
  /** Wood was cut: it cannot be put back. */
  readonly woodCut: boolean;
  /** The new part itself was cut: it cannot be returned. */
  readonly partCut: boolean;
  /** The window of a plate was filed wider; the wood is as it was. */
  readonly plateCut: boolean;
  readonly verdicts: readonly Verdict[];
  /** The old part goes in again without a clash. */
  readonly works: boolean;
}
