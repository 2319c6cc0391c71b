import { applyChanges, type Anatomy, type Change } from '../instrument/index.js';
import { byGravity } from '../measure/index.js';
import type { Choice, Plan } from './choice.js';
import type { PlanState } from './place.js';
import type { CheckRows, Site } from './row.js';
import { missingVerdict, type Trait, type Verdict } from './verdict.js';
import { choiceChanges, choiceRow, isThere } from './works.js';

/** Everything that follows from a plan with some changes. */
export interface Evaluation {
  readonly anatomy: Anatomy;
  /** Gravest first. */
  readonly verdicts: readonly Verdict[];
}

/**
 * The only way in: the instrument as the whole plan and then the changes would leave it, and every verdict on every choice.
 * A choice whose place has gone says so and does nothing else; throws RangeError when a change or a part is not there. Pure; memos go by the identity of what is passed in.
 */
export function evaluatePlan(rows: CheckRows, state: PlanState, plan: Plan, changes: readonly Change[] = []): Evaluation {
  const anatomy = anatomyAfter(rows, state, plan, changes);
  const after = { ...state, anatomy };
  return { anatomy, verdicts: plan.choices.flatMap((choice) => verdictsOn({ rows, found: state, after, plan, choice })).sort(byGravity) };
}

/** The same for one choice alone, in the instrument as the whole plan would leave it: what a hand that moves it needs at once. */
export function evaluateIn(rows: CheckRows, state: PlanState, plan: Plan, choice: Choice): Evaluation {
  const anatomy = anatomyAfter(rows, state, plan, []);
  return { anatomy, verdicts: verdictsOn({ rows, found: state, after: { ...state, anatomy }, plan, choice }).toSorted(byGravity) };
}

/** The instrument as a whole plan would leave it, for many small steps from there. */
export function leftBy(rows: CheckRows, state: PlanState, plan: Plan): PlanState {
  return { ...state, anatomy: anatomyAfter(rows, state, plan, []) };
}

/** What the checks about one thing say of one choice after a further change, where the plan is laid in already: what a search for a spot asks hundreds of times. */
export function evaluateStep({ left, ...step }: Step, about: Trait): readonly Verdict[] {
  const after = { ...left, anatomy: applyChanges(left.anatomy, step.changes) };
  return verdictsOn({ rows: rowsAbout(step.rows, about), found: left, after, plan: step.plan, choice: step.choice });
}

/** A choice and a further change, in an instrument as a plan leaves it. */
export interface Step {
  readonly rows: CheckRows;
  readonly left: PlanState;
  readonly plan: Plan;
  readonly choice: Choice;
  readonly changes: readonly Change[];
}

const narrowed = new WeakMap<CheckRows, Map<Trait, CheckRows>>();

/** The same registries with the checks about one thing alone. */
function rowsAbout(rows: CheckRows, about: Trait): CheckRows {
  const known = narrowed.get(rows) ?? new Map<Trait, CheckRows>();
  const some = known.get(about) ?? { ...rows, checks: rows.checks.filter((row) => row.about?.includes(about)) };
  narrowed.set(rows, known.set(about, some));
  return some;
}

/** A plan of this one choice. */
export function evaluateChoice(rows: CheckRows, state: PlanState, choice: Choice): Evaluation {
  return evaluatePlan(rows, state, { format: 5, choices: [choice] });
}

/** What an evaluation says of one choice. */
export function ofChoice(evaluation: Evaluation, choice: string): Evaluation {
  return { anatomy: evaluation.anatomy, verdicts: evaluation.verdicts.filter((v) => v.choice === choice) };
}

function anatomyAfter(rows: CheckRows, state: PlanState, plan: Plan, changes: readonly Change[]): Anatomy {
  const here = inTurn(
    rows,
    plan.choices.filter((c) => isThere(rows, state.anatomy, c)),
  );
  const planned = levelsApart(here.flatMap((c) => choiceChanges(rows, c, state)));
  return planned.length + changes.length === 0 ? state.anatomy : applyChanges(state.anatomy, [...planned, ...changes]);
}

/** Choices in the order of the plan, each after those that it rests on; a circle is left as it stands. */
function inTurn(rows: CheckRows, choices: readonly Choice[]): readonly Choice[] {
  const out: Choice[] = [];
  const visit = (c: Choice, above: readonly Choice[]): void => {
    if (out.includes(c) || above.includes(c)) return;
    for (const id of choiceRow(rows, c).restsOn?.(c) ?? []) for (const d of choices) if (d.id === id) visit(d, [...above, c]);
    out.push(c);
  };
  for (const c of choices) visit(c, []);
  return out;
}

/** Two routes planned into one cavity keep their levels: what the second calls as the first does gets a number behind its name. */
function levelsApart(changes: readonly Change[]): readonly Change[] {
  const taken = new Map<string, number>();
  return changes.map((change) => {
    if (change.kind !== 'addLevels') return change;
    const named = change.levels.map((p) => {
      const key = `${change.cavity}/${p.id}`;
      const n = (taken.get(key) ?? 0) + 1;
      taken.set(key, n);
      return n === 1 ? p : { ...p, id: `${p.id} (${n})` };
    });
    return { ...change, levels: named };
  });
}

const NOTHING: readonly never[] = [];

/** What the checks of its kind say of a choice; what is to be measured or traced first is said alone. */
function verdictsOn(site: Site): readonly Verdict[] {
  const { rows, after, choice } = site;
  const of = (v: Verdict): Verdict => ({ ...v, choice: choice.id });
  if (!isThere(rows, after.anatomy, choice)) return [of(goneVerdict(choice))];
  const missing = choiceRow(rows, choice).missing?.(site.found, choice) ?? [];
  if (missing.length > 0) return [of(missingVerdict('measureFirst', { feature: choice.id }, missing, 0))];
  return rows.checks.flatMap((row) =>
    row.choices.includes(choice.kind) ? row.run(site).map((v) => ({ ...v, choice: choice.id, unit: row.unit, about: row.about ?? NOTHING })) : [],
  );
}

/** The place that a choice was made for is not on the instrument any more: it says so, and no number. */
function goneVerdict(choice: Choice): Verdict {
  return { ...missingVerdict('placeGone', { feature: choice.id }, [], 0), class: 'clashes' };
}
