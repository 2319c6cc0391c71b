import type { Verdict } from '../check/index.js';

/** A number that was on a screen. */
export interface Seen {
  readonly id: string;
  readonly clearance: number | null;
}

export interface SeenDifference {
  readonly id: string;
  readonly seen: number | null | undefined;
  readonly now: number | null | undefined;
}

/** How far a number on the screen may be from the server's and still be the same, mm. */
const SAME = 0.001;

/** Where the numbers that were seen and those worked out now are not the same: other values, and verdicts that only one side has. */
export function differences(seen: readonly Seen[], verdicts: readonly Verdict[]): readonly SeenDifference[] {
  const now = new Map(verdicts.map((v) => [v.id, v.clearance]));
  const then = new Map(seen.map((s) => [s.id, s.clearance]));
  const ids = [...new Set([...then.keys(), ...now.keys()])];
  return ids.map((id) => ({ id, seen: then.get(id), now: now.get(id) })).filter((d) => !same(d.seen, d.now));
}

function same(a: number | null | undefined, b: number | null | undefined): boolean {
  if (typeof a === 'number' && typeof b === 'number') return Math.abs(a - b) <= SAME + 1e-12;
  return a === b;
}
