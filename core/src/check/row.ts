import type { OperationRows } from '../operation/index.js';
import type { PartRows } from '../part/index.js';
import type { BenchRow } from './bench-row.js';
import type { ChoiceRow } from './choice-row.js';
import type { Choice, Plan } from './choice.js';
import type { PlanState } from './place.js';
import type { Trait, Unit, Verdict } from './verdict.js';

/** A check, by its name. */
export type CheckId = string;

/** What a check looks at: the instrument as it is, as the whole plan would leave it, and the choice that is judged. */
export interface Site {
  readonly rows: CheckRows;
  readonly found: PlanState;
  readonly after: PlanState;
  readonly plan: Plan;
  readonly choice: Choice;
}

/** A check: the only place that says on which kinds of choice it runs, in what it counts, and what it is about. */
export interface CheckRow {
  readonly id: CheckId;
  readonly choices: readonly string[];
  readonly unit: Unit;
  readonly about?: readonly Trait[];
  readonly run: (site: Site) => readonly Verdict[];
}

/** What is registered of checks, choices and what they are made of. */
export interface CheckRows extends OperationRows, PartRows {
  readonly checks: readonly CheckRow[];
  readonly choiceKinds: Readonly<Record<string, ChoiceRow>>;
  readonly bench: readonly BenchRow[];
}

/** What the row of a check says beside its name. */
export type About = Pick<CheckRow, 'unit' | 'about'>;

export const MM: About = { unit: 'mm' };
export const COUNT: About = { unit: 'count' };
export const YES_OR_NO: About = { unit: 'choice' };

/** The rows of one comparison that says several things; it is made once for a site: its rows are asked one after the other, so that the last one is all that is kept. */
export function rowsOf(choices: readonly string[], compare: (site: Site) => readonly Verdict[], says: Readonly<Record<CheckId, About>>): readonly CheckRow[] {
  let last: { readonly site: Site; readonly made: readonly Verdict[] } | null = null;
  const of = (site: Site): readonly Verdict[] => {
    if (last?.site !== site) {
      last = { site, made: compare(site) };
      const stray = last.made.find((v) => !(v.check in says));
      if (stray) throw new RangeError(`no row says what ${stray.check} is about`);
    }
    return last.made;
  };
  return Object.entries(says).map(([id, about]) => ({ id, choices, ...about, run: (site) => of(site).filter((v) => v.check === id) }));
}
