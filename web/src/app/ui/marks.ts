import type { Verdict } from '@rinnovo/core/check';
import { byGravity } from '@rinnovo/core/measure';
import { fixed, verdictTitle, type Names } from '@rinnovo/words';
import type { Mark } from './drawing';

/** Two numbers nearer than this would lie on one another, mm. */
const NEAR = 9;

/** Marks for the verdicts that ask for attention, and for the one that is open; the gravest keep their numbers. */
export function marksOf(verdicts: readonly Verdict[], open: string | null, names: Names): readonly Mark[] {
  const shown = verdicts.filter((v) => v.at !== null && (v.class !== 'well' || v.id === open));
  const worst = shown.filter((v) => v.class !== 'well').toSorted(byGravity)[0];
  const labelled: Mark[] = [];
  const marks = [...shown]
    .sort((a, b) => Number(b.id === open) - Number(a.id === open))
    .map((v) => {
      const [x, y] = [v.at?.x ?? 0, v.at?.y ?? 0];
      const free = labelled.every((m) => Math.abs(m.y - y) > NEAR / 2 || Math.abs(m.x - x) > 2 * NEAR);
      const mark: Mark = {
        id: v.id,
        x,
        y,
        kind: v.class,
        title: verdictTitle(v, names),
        text: free && v.clearance !== null ? fixed(v.clearance, 2) : '',
        worst: v === worst,
      };
      if (free) labelled.push(mark);
      return mark;
    });
  // the gravest is drawn last, so that no other lies on it
  return marks.reverse();
}

/** How many verdicts of each grave kind, as a headline. */
export function headline(verdicts: readonly Verdict[]): string {
  const count = (c: Verdict['class']): number => verdicts.filter((v) => v.class === c).length;
  const said = [
    [count('clashes'), 'clash', 'clashes'],
    [count('tooClose'), 'too close to call', 'too close to call'],
    [count('notMeasured'), 'not measured', 'not measured'],
    [count('thin'), 'thin', 'thin'],
  ] as const;
  const parts = said.filter(([n]) => n > 0).map(([n, one, many]) => `${n} ${n === 1 ? one : many}`);
  return parts.length === 0 ? 'All checks clear' : parts.join(' · ');
}
