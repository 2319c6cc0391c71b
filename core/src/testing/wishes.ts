import type { JackElement } from '../wire/index.js';

export const JACK: JackElement = { kind: 'jack', id: 'jack', name: null, does: 'jack', place: null, part: null, form: 'mono' };

/** What a generator comes to, run to its end. */
export function finished<T>(steps: Generator<unknown, T>): T {
  let step = steps.next();
  while (!step.done) step = steps.next();
  return step.value;
}
