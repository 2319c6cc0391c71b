import { batchAnswers } from './batch-answers';
import type { BatchRequest, BatchState } from './batch-messages';

let held: BatchState | null = null;

addEventListener('message', ({ data }: MessageEvent<BatchRequest>) => {
  if (data.kind === 'state') held = data;
  else for (const answer of batchAnswers(held, data)) postMessage(answer);
});
