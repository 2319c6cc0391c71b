import { availableParallelism } from 'node:os';
import { extname } from 'node:path';
import { Piscina } from 'piscina';
import type { TASKS, TaskId } from './tasks.js';

/** Threads at most: the one that answers requests stays free. */
const MOST_THREADS = 4;
/** A sum that takes longer than this has lost its way, ms. */
const LONGEST = 60_000;

let pool: Piscina | null = null;

/** The same file as this one: built, or from its source. */
function threads(): Piscina {
  pool ??= new Piscina({
    filename: new URL(`./worker${extname(import.meta.url)}`, import.meta.url).href,
    minThreads: 1,
    maxThreads: Math.max(1, Math.min(MOST_THREADS, availableParallelism() - 1)),
    idleTimeout: 30_000,
  });
  return pool;
}

/** Works a long sum out in a thread of its own: meanwhile other requests are answered. Rejects with what the sum throws, or after a minute. */
export async function inThread<T extends TaskId>(task: T, of: Parameters<(typeof TASKS)[T]>[0]): Promise<Awaited<ReturnType<(typeof TASKS)[T]>>> {
  return (await threads().run({ task, of }, { signal: AbortSignal.timeout(LONGEST) })) as Awaited<ReturnType<(typeof TASKS)[T]>>;
}

/** Ends the threads; the next sum makes new ones. */
export async function endThreads(): Promise<void> {
  const ended = pool;
  pool = null;
  await ended?.destroy();
}
