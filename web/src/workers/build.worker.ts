import { building, whyNot } from '@rinnovo/core/wire';
import type { BuildAnswer, BuildRequest } from './build-messages';

/** A message no oftener, ms. */
const BETWEEN = 100;

addEventListener('message', ({ data }: MessageEvent<BuildRequest>) => {
  const tell = (answer: BuildAnswer): void => postMessage(answer);
  const built = told(building(data), (tries) => tell({ kind: 'tries', tries, asking: 'circuit' }));
  if (built.solutions.length > 0) {
    tell({ kind: 'built', built });
    return;
  }
  const why = told(whyNot(data), (tries) => tell({ kind: 'tries', tries, asking: 'why not' }));
  tell({ kind: 'impossible', built, why });
});

/** Runs a search to its end and tells now and then how far it is. */
function told<T>(search: Generator<number, T>, tell: (tries: number) => void): T {
  let last = performance.now();
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
    if (performance.now() - last < BETWEEN) continue;
    last = performance.now();
    tell(step.value);
  }
}
