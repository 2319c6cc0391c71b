import type { ImportAnswer, ImportRequest } from './import-messages';

/** A file being read in a worker of its own; cancelling ends the worker. */
export interface Reading {
  readonly done: Promise<ImportAnswer>;
  readonly cancel: () => void;
}

/** A drawing that takes longer is given up, ms. */
export const LONGEST_READING = 10_000;

/** Reads a drawing away from the page, and ends: with its outlines, its refusal, or after ten seconds. */
export function readDrawing(request: ImportRequest, longest = LONGEST_READING): Reading {
  const worker = new Worker(new URL('./import.worker', import.meta.url), { type: 'module' });
  let limit: ReturnType<typeof setTimeout> | undefined;
  const done = new Promise<ImportAnswer>((resolve) => {
    worker.onmessage = ({ data }: MessageEvent<ImportAnswer>) => resolve(data);
    // what an engine says of its own trouble is of no use to whoever drew the file
    worker.onerror = () => resolve({ ok: false, refusal: { kind: 'broken', detail: '' } });
    limit = setTimeout(() => resolve({ ok: false, refusal: { kind: 'tooLong', detail: '' } }), longest);
    worker.postMessage(request);
  }).finally(() => {
    clearTimeout(limit);
    worker.terminate();
  });
  return { done, cancel: () => worker.terminate() };
}
