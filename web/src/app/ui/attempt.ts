import { signal, type Signal, type WritableSignal } from '@angular/core';
import { problemOf, problemText } from '../api/problem-of';

/** One act at a time, and what stands against it. */
export interface Attempt {
  readonly busy: Signal<boolean>;
  /** What went wrong with the last one, or what a form finds wrong itself. */
  readonly problem: WritableSignal<string | null>;
  /** Runs an act unless one is under way; true when it was done. What it throws becomes the problem; what somebody else changed meanwhile is said in one's own words, where there are some. */
  readonly run: (act: () => Promise<unknown>, stale?: string) => Promise<boolean>;
}

export function attempt(): Attempt {
  const busy = signal(false);
  const problem = signal<string | null>(null);
  const run = async (act: () => Promise<unknown>, stale?: string): Promise<boolean> => {
    if (busy()) return false;
    busy.set(true);
    problem.set(null);
    try {
      await act();
      return true;
    } catch (error) {
      const found = problemOf(error);
      problem.set(found.status === 412 && stale !== undefined ? stale : problemText(found));
      return false;
    } finally {
      busy.set(false);
    }
  };
  return { busy: busy.asReadonly(), problem, run };
}
