import type { OperationKind, StepKind } from '@rinnovo/core/operation';

/** What a step says: on its card, from the names that the card has, and in a word or two where the history lists it. */
export interface StepWords {
  readonly card: (names: Readonly<Record<string, string | number>>) => string;
  readonly logged: string;
}

/** What a kind of operation is called, and what its own steps say. */
export interface OperationWords {
  readonly kind: OperationKind;
  readonly name: string;
  readonly steps: Readonly<Record<StepKind, StepWords>>;
}
