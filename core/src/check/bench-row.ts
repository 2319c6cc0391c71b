import type { BenchFact, OperationKind, Work } from '../operation/index.js';
import type { Ground } from './works.js';

/** Something on the bench that is in one state or another: strings, battery, what is soldered in, the bridge. An open list. */
export interface BenchRow {
  readonly of: string;
  /** The kinds of operation that bring it into its states. */
  readonly states: Readonly<Record<string, OperationKind>>;
  /** How it is when the job begins, and how it is left in the end. */
  readonly start: string;
  /** What some work asks of it; nothing where the instrument has no such thing. */
  needs(work: Omit<Work, 'bench'>, ground: Ground): readonly BenchFact[];
}
