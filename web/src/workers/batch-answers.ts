import { bestInRoute, optionsInTurn } from '@rinnovo/core/house';
import { choiceOf, isPickupChoice } from '@rinnovo/core/check';
import { ranked, type Option } from '@rinnovo/core/remedy';
import type { Holding } from './answer';
import type { BatchAnswer, BatchQuestion } from './batch-messages';

/** Works one long question out, telling after each piece how far it is; the result comes last. */
export function* batchAnswers(held: Holding | null, question: BatchQuestion): Generator<BatchAnswer, void> {
  if (held?.key !== question.key) {
    yield { kind: 'failed', message: 'the state for this question is not here' };
    return;
  }
  const { state } = held;
  const { plan } = question;
  const choice = choiceOf(plan, question.choice);
  try {
    if (question.kind === 'best') {
      yield { kind: 'best', result: choice && isPickupChoice(choice) ? bestInRoute(state, plan, choice) : [] };
      return;
    }
    const options: Option[] = [];
    if (choice)
      for (const { option, of } of optionsInTurn(state, plan, choice, question.request)) {
        options.push(option);
        yield { kind: 'progress', done: options.length, of };
      }
    yield { kind: 'options', result: ranked(options) };
  } catch (error) {
    yield { kind: 'failed', message: error instanceof Error ? error.message : String(error) };
  }
}
