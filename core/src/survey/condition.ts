import type { StateId } from '../quantity/index.js';
import type { StateOf, StateReading } from './state-of.js';

/** What a condition looks at: a quantity at any of its places, or at one. */
export interface Look {
  readonly quantity: StateId;
  readonly feature?: string;
}

/** What speaks for something: the readings that do, or none; and what was looked at. */
export interface Condition {
  readonly looks: readonly Look[];
  readonly holds: (s: StateOf) => readonly StateReading[];
  /** On which instruments it can be at all; not there: on every. */
  readonly on?: (s: StateOf) => boolean;
}

const looking = (quantity: StateId, holds: Condition['holds']): Condition => ({ looks: [{ quantity }], holds });

/** Above its aim, however the tool may err. */
export const high = (id: StateId): Condition => looking(id, (s) => s.of(id).filter((t) => t.standing === 'high'));
export const low = (id: StateId): Condition => looking(id, (s) => s.of(id).filter((t) => t.standing === 'low'));
/** What the least and the most that it can be say. */
export const surely = (id: StateId, is: (least: number, most: number) => boolean): Condition =>
  looking(id, (s) => s.of(id).filter((t) => is(t.reading.value - t.reading.limit, t.reading.value + t.reading.limit)));
export const answered = (id: StateId, answer: number): Condition => looking(id, (s) => s.of(id).filter((t) => t.reading.value === answer));
export const heard = (symptom: string): Condition => ({
  looks: [{ quantity: 'symptom', feature: symptom }],
  holds: (s) => s.of('symptom').filter((t) => t.target.feature === symptom && t.reading.value === 1),
});
/** More than one quantity, weighed against each other. */
export const among = (ids: readonly StateId[], holds: Condition['holds']): Condition => ({ looks: ids.map((quantity) => ({ quantity })), holds });

/** Both, or nothing. */
export function and(a: Condition, b: Condition): Condition {
  return {
    looks: [...a.looks, ...b.looks],
    holds(s) {
      const [x, y] = [a.holds(s), b.holds(s)];
      return x.length > 0 && y.length > 0 ? [...x, ...y] : [];
    },
  };
}

/** The same only where the instrument is such. */
export function where(is: (s: StateOf) => boolean, of: Condition): Condition {
  return { ...of, on: is, holds: (s) => (is(s) ? of.holds(s) : []) };
}

/** The same, but of the readings that it gives only some. */
export function only(of: Condition, which: (t: StateReading) => boolean): Condition {
  return { ...of, holds: (s) => of.holds(s).filter(which) };
}
