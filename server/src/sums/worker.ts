import { TASKS, type TaskId } from './tasks.js';

/** What a thread is handed: which sum, and of what. */
export interface Sum {
  readonly task: TaskId;
  readonly of: unknown;
}

export default function work({ task, of }: Sum): unknown {
  return (TASKS[task] as (of: unknown) => unknown)(of);
}
