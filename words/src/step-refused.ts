import type { StepRefusal, StepToLog } from '@rinnovo/core/job';
import { stepFlawText } from './step-refusals.js';

/** Why a step is not logged: what the answer is called, and what it holds. */
export interface StepRefused {
  readonly code: 'not-now' | 'not-clear' | 'numbers-differ' | 'cannot-be';
  readonly extra: {
    readonly detail?: string;
    readonly current?: unknown;
    readonly yours?: unknown;
    readonly errors?: readonly { readonly pointer: string; readonly detail: string }[];
  };
}

/** A step that cannot be logged, in words, wherever it was judged. */
export function stepRefused(why: StepRefusal, said: Pick<StepToLog, 'operation' | 'step' | 'seen'>): StepRefused {
  switch (why.kind) {
    case 'otherStep': {
      const { operation, step } = why;
      const yours = { operation: said.operation, step: said.step };
      return { code: 'not-now', extra: { detail: 'That is not the current step.', current: { operation, step }, yours } };
    }
    case 'hindered':
      return { code: 'not-now', extra: { detail: 'Other work comes first.', current: why.hindrances } };
    case 'noClearance':
      return { code: 'not-clear', extra: { detail: 'This cut has no clearance.' } };
    case 'clearanceLapsed':
      return { code: 'not-clear', extra: { detail: 'What this cut was cleared on has changed. Clear it again.', current: why.open } };
    case 'numbersDiffer':
      return { code: 'numbers-differ', extra: { current: why.now, yours: said.seen } };
    case 'flaw':
      return { code: 'cannot-be', extra: { errors: [{ pointer: why.flaw.at, detail: stepFlawText(why.flaw) }] } };
  }
}
