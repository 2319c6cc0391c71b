import type { LogStep } from '@rinnovo/contract';
import type { StepRefusal } from '@rinnovo/core/job';
import { stepFlawText } from '@rinnovo/words';
import { ProblemError } from '../http/problems.js';

/** A step that cannot be logged, as the problem that is answered. */
export function refused(why: StepRefusal, said: LogStep): ProblemError {
  switch (why.kind) {
    case 'otherStep': {
      const { operation, step } = why;
      return new ProblemError('not-now', {
        detail: 'That is not the current step.',
        current: { operation, step },
        yours: { operation: said.operation, step: said.step },
      });
    }
    case 'hindered':
      return new ProblemError('not-now', { detail: 'Other work comes first.', current: why.hindrances });
    case 'noClearance':
      return new ProblemError('not-clear', { detail: 'This cut has no clearance.' });
    case 'clearanceLapsed':
      return new ProblemError('not-clear', { detail: 'What this cut was cleared on has changed. Clear it again.', current: why.open });
    case 'numbersDiffer':
      return new ProblemError('numbers-differ', { current: why.now, yours: said.seen });
    case 'flaw':
      return new ProblemError('cannot-be', { errors: [{ pointer: why.flaw.at, detail: stepFlawText(why.flaw) }] });
  }
}
