import type { ImportAnswer, ImportRequest } from './import-messages';

/** A file being read in a worker of its own; cancelling ends the worker. */
export interface Reading {
  readonly done: Promise<ImportAnswer>;
  readonly cancel: () => void;
}

/** Reads a drawing away from the page, however long it is. */
export function readDrawing(request: ImportRequest): Reading {
  const worker = new Worker(new URL('./import.worker', import.meta.url), { type: 'module' });
  const done = new Promise<ImportAnswer>((resolve) => {
    worker.onmessage = ({ data }: MessageEvent<ImportAnswer>) => resolve(data);
    worker.onerror = (event) => resolve({ ok: false, refusal: { kind: 'broken', detail: event.message } });
    worker.postMessage(request);
  }).finally(() => worker.terminate());
  return { done, cancel: () => worker.terminate() };
}
