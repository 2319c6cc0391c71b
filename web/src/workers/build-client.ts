import type { CircuitWish } from '@rinnovo/core/wire';
import type { BuildAnswer } from './build-messages';

/** A circuit being built in a worker of its own; cancelling ends the worker, and nothing more is told. */
export interface Build {
  readonly cancel: () => void;
}

/** Builds for a wish away from the page; tells how far it is, and ends with circuits or with what would do. */
export function buildCircuit(wish: CircuitWish, tell: (answer: BuildAnswer) => void): Build {
  const worker = new Worker(new URL('./build.worker', import.meta.url), { type: 'module' });
  worker.onmessage = ({ data }: MessageEvent<BuildAnswer>) => {
    if (data.kind !== 'tries') worker.terminate();
    tell(data);
  };
  worker.onerror = () => {
    worker.terminate();
    tell({ kind: 'broken' });
  };
  worker.postMessage(wish);
  return { cancel: () => worker.terminate() };
}
