import { compareAnatomies, type Anatomy, type Difference } from '../instrument/index.js';
import { targetKey } from '../quantity/index.js';

/** The instrument before and after something was done to it. */
export interface WorkStep {
  readonly before: Anatomy;
  readonly after: Anatomy;
}

/**
 * What work has changed on an instrument, oldest first; what was measured or drawn in between is no alteration. What was undone again is none either:
 * a hole from 8.0 to 9.7 and to 10.0 is one change from 8.0 to 10.0, an insert taken out and put back none.
 */
export function changesByWork(steps: readonly WorkStep[]): readonly Difference[] {
  const out = new Map<string, Difference>();
  for (const { before, after } of steps) {
    for (const d of compareAnatomies(before, after)) {
      const key = keyOf(d);
      const earlier = out.get(key);
      const both = earlier === undefined ? d : together(earlier, d);
      if (both) out.set(key, both);
      else out.delete(key);
    }
  }
  return [...out.values()];
}

/** Under what a difference meets an earlier one of the same thing. */
function keyOf(d: Difference): string {
  switch (d.kind) {
    case 'levelAdded':
    case 'levelGone':
      return `level ${d.cavity}/${d.level}/${d.set}`;
    case 'resized':
      return `size ${targetKey(d.target)}`;
    case 'partChanged':
    case 'raised':
      return `${d.kind} ${d.place}`;
    case 'insertChanged':
      return `insert ${d.plate}/${d.opening}`;
    default:
      return JSON.stringify(d);
  }
}

/** Two differences of the same thing as one; null where the later one undoes the earlier. */
function together(earlier: Difference, later: Difference): Difference | null {
  if (earlier.kind !== later.kind || earlier.kind === 'insertChanged') return null;
  if (earlier.kind === 'partChanged' && later.kind === 'partChanged') return earlier.before === later.after ? null : { ...later, before: earlier.before };
  if (earlier.kind === 'raised' && later.kind === 'raised') return Math.abs(earlier.by + later.by) > SAME ? { ...later, by: earlier.by + later.by } : null;
  if (earlier.kind === 'resized' && later.kind === 'resized') {
    const [before, after] = [earlier.before, later.after];
    const same = before === after || (before !== null && after !== null && Math.abs(before - after) <= SAME);
    return same ? null : { ...later, before, beyond: earlier.beyond || later.beyond };
  }
  return later;
}

/** Values under this apart are equal, mm. */
const SAME = 0.001;
