import type { Phase } from './row.js';

/** The kind of work that is only a line: what it is stands on it. */
export const BY_HAND = 'byHand';

/** What somebody put into a job by hand: a line of its own or a kind of work that changes nothing, how long it takes, how long it rests, and where it goes. */
export interface OwnWork {
  /** What is done, in a few words; empty where the kind says it. */
  readonly line: string;
  /** Working time, and the time that nothing else may be done to it, min. */
  readonly minutes: number;
  readonly wait: number;
  readonly phase: Phase;
  /** The operations that it comes after, and those that it comes before, by their ids. */
  readonly after: readonly string[];
  readonly before: readonly string[];
}
