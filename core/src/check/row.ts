import type { Anatomy, Cavity } from '../instrument/index.js';
import type { BenchFact, OperationKind, OperationRows, Settings, Work, WorkItem } from '../operation/index.js';
import type { PartRows, Shelf } from '../part/index.js';
import type { Target } from '../quantity/index.js';
import type { Fitted } from '../survey/index.js';
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

/** A kind of choice: what it is about and what it comes to; the only place that says so. */
export interface ChoiceRow<C extends Choice = Choice> {
  readonly kind: string;
  /** Is its place still on the instrument? */
  isThere(anatomy: Anatomy, choice: C): boolean;
  /** The ids of what it is about, the place itself first. */
  places(choice: C, anatomy: Anatomy): readonly [string, ...string[]];
  /** What must be measured or traced before anything can be said: not measured, never a clash. */
  missing?(state: PlanState, choice: C): readonly Target[];
  /** Its work, in the order in which it changes the instrument. Throws RangeError when its place is not there. */
  works(ground: Ground, choice: C): readonly WorkItem[];
  /** The choices whose work goes before its own. */
  restsOn?(choice: C): readonly string[];
  /** The same with nothing done for it: its place and its part. */
  bare(choice: C): C;
  /** The operation by which its part goes in; null: it has none. */
  readonly fits: OperationKind | null;
  /** The part that sits there now; null where nothing does. */
  found(anatomy: Anatomy, choice: C): string | null;
  /** The cavity that its route is cut into. */
  cavity?(anatomy: Anatomy, choice: C): Cavity | null;
}

/** Something on the bench that is in one state or another: strings, battery, what is soldered in, the bridge. An open list. */
export interface BenchRow {
  readonly of: string;
  /** The kinds of operation that bring it into its states. */
  readonly states: Readonly<Record<string, OperationKind>>;
  /** How it is when the job begins, and how it is left in the end. */
  readonly start: string;
  /** What some work asks of it; nothing where the instrument has no such thing. */
  needs(work: Omit<Work, 'bench'>, ground: Ground): readonly BenchFact[];
}

/** What choices are turned into work on. */
export interface Ground {
  readonly rows: CheckRows;
  readonly anatomy: Anatomy;
  readonly settings: Settings;
  readonly parts: Shelf;
  /** What the instrument has that others do not. */
  readonly fitted: readonly Fitted[];
  /** Source and key of what is done already. */
  readonly done: ReadonlySet<string>;
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
