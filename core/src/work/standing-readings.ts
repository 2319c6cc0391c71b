import type { Operation } from '../operation/index.js';
import type { Reading } from '../quantity/index.js';

/** When the steps of operations were logged. */
export interface Logged {
  readonly operation: string;
  /** ISO 8601. */
  readonly at: string;
}

/**
 * The readings that still stand: what an operation made void when it was done no longer does, and two old readings of a hole of 8.0 prove nothing of the 9.7
 * that it was opened to. A lapse that names no part is of all parts of its place.
 */
export function standingReadings(readings: readonly Reading[], operations: readonly Operation[], log: readonly Logged[]): readonly Reading[] {
  const lapses = operations.flatMap((o) => {
    const at = o.state === 'done' ? log.reduce((last, l) => (l.operation === o.id && l.at > last ? l.at : last), '') : '';
    return at === '' ? [] : o.lapses.map((l) => ({ ...l, at }));
  });
  if (lapses.length === 0) return readings;
  return readings.filter(
    ({ target: t, at }) =>
      !lapses.some(
        (l) => l.quantity === t.quantity && l.feature === t.feature && (l.part === undefined || l.part === t.part) && Date.parse(at) < Date.parse(l.at),
      ),
  );
}
