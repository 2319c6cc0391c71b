import { signal, type Signal, type WritableSignal } from '@angular/core';
import { problemOf, problemText } from '../api/problem-of';

/** One act at a time, and what stands against it. */
export interface Attempt {
  readonly busy: Signal<boolean>;
  /** What went wrong with the last one, or what a form finds wrong itself. */
  readonly problem: WritableSignal<string | null>;
  /** Runs an act unless one is under way; true when it was done. What it throws becomes the problem. */
  readonly run: (act: () => Promise<unknown>) => Promise<boolean>;
}

export function attempt(): Attempt {
  const busy = signal(false);
  const problem = signal<string | null>(null);
  const run = async (act: () => Promise<unknown>): Promise<boolean> => {
    if (busy()) return false;
    busy.set(true);
    problem.set(null);
    try {
      await act();
      return true;
    } catch (error) {
      problem.set(problemText(problemOf(error)));
      return false;
    } finally {
      busy.set(false);
    }
  };
  return { busy: busy.asReadonly(), problem, run };
}
