import { answer, type Holding } from './answer';
import type { LiveRequest } from './live-messages';

let held: Holding | null = null;

addEventListener('message', ({ data }: MessageEvent<LiveRequest>) => {
  if (data.kind === 'state') {
    held = { key: data.key, state: data.state, tools: data.tools };
    return;
  }
  const begun = performance.now();
  const said = answer(held, data);
  postMessage({ ...said, took: performance.now() - begun });
});
