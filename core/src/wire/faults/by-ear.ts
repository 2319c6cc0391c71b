import type { Heard } from '../heard.js';
import type { TestLine } from '../test-sheet.js';
import type { Meaning } from './index.js';

/**
 * What an answer by ear may mean where the circuit ought to sound otherwise [trade: docs/trade/wire.md, Faults that a meter shows]: two that sound thin together are out
 * of phase, two that hum like one are no pair. An answer that the circuit predicts means nothing: what is wired out of phase sounds thin.
 */
export function meaningsByEar({ target }: TestLine, answer: string, heard: Heard): readonly Meaning[] {
  const of = (fault: Meaning['fault']): readonly Meaning[] => [{ fault, element: target.feature, at: '' }];
  const together = heard.inPhase !== null;
  switch (answer) {
    case 'silent':
      return heard.coils.length === 0 ? [] : of('no signal');
    case 'weak or dull':
      return of('dull');
    case 'thin or hollow':
      return together ? (heard.inPhase ? of('out of phase') : []) : of('dull');
    case 'it hums':
      return together ? (heard.humCancelling ? of('not a pair') : []) : of('hums alone');
    default:
      return [];
  }
}
