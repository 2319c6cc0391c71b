import { answer, type Holding } from './answer';
import { batchAnswers } from './batch-answers';
import { isBatchQuestion, type BatchRequest } from './batch-messages';
import type { LiveRequest } from './live-messages';
import { sameAgain } from './same-again';

/** One script for the live worker and the batch workers: the page loads the sums once. */
let held: Holding | null = null;
let asked: unknown = null;

addEventListener('message', ({ data }: MessageEvent<LiveRequest | BatchRequest>) => {
  if (data.kind === 'state') {
    held = { key: data.key, state: data.state };
    return;
  }
  if (isBatchQuestion(data)) {
    for (const said of batchAnswers(held, data)) postMessage(said);
    return;
  }
  const begun = performance.now();
  const plan = sameAgain(asked, data.plan);
  asked = plan;
  const said = answer(held, { ...data, plan });
  postMessage({ ...said, took: performance.now() - begun });
});
