import { applyChanges, type Anatomy, type Change } from '../instrument/index.js';
import { byGravity } from '../measure/index.js';
import { behindWindow } from './behind-window.js';
import type { Choice, HardwareChoice, PickupChoice, Plan } from './choice.js';
import { coverFits } from './cover-fits.js';
import { cutByItself } from './cut-by-itself.js';
import { cutterInCorner } from './cutter-in-corner.js';
import { floors } from './floor.js';
import { HARDWARE_CHECKS, siteOf } from './hardware-checks.js';
import { hiddenEdge } from './hidden-edge.js';
import { leads } from './leads.js';
import { partInRoute } from './part-in-route.js';
import { placeOf, type PlaceOfPart, type PlanState } from './place.js';
import { isThere } from './places.js';
import { plateScrewInAir } from './plate-screw-in-air.js';
import { polesUnderStrings } from './poles-under-strings.js';
import { missingVerdict, type Verdict } from './verdict.js';
import { edgeOfBody, walls } from './wall.js';
import { travel } from './travel.js';
import { windowGap } from './window-gap.js';
import { choiceChanges } from './works.js';

/** Everything that follows from a plan with some changes. */
export interface Evaluation {
  readonly anatomy: Anatomy;
  /** Gravest first. */
  readonly verdicts: readonly Verdict[];
}

const PICKUP_CHECKS: readonly ((place: PlaceOfPart) => readonly Verdict[])[] = [
  partInRoute,
  windowGap,
  (p) => [behindWindow(p)],
  hiddenEdge,
  walls,
  edgeOfBody,
  floors,
  cutterInCorner,
  plateScrewInAir,
  polesUnderStrings,
  coverFits,
  travel,
  leads,
];

/**
 * The only way in: the instrument as the whole plan and then the changes would leave it, and every verdict on every choice.
 * A choice whose place has gone says so and does nothing else; throws RangeError when a change or a part is not there. Pure; memos go by the identity of what is passed in.
 */
export function evaluatePlan(state: PlanState, plan: Plan, changes: readonly Change[] = []): Evaluation {
  const anatomy = anatomyAfter(state, plan, changes);
  const after = { ...state, anatomy };
  return { anatomy, verdicts: plan.choices.flatMap((c) => verdictsOn(after, plan, c)).sort(byGravity) };
}

/** The same for one choice alone, in the instrument as the whole plan would leave it: what a hand that moves it needs at once. */
export function evaluateIn(state: PlanState, plan: Plan, choice: Choice): Evaluation {
  const anatomy = anatomyAfter(state, plan, []);
  return { anatomy, verdicts: verdictsOn({ ...state, anatomy }, plan, choice).toSorted(byGravity) };
}

/** The instrument as a whole plan would leave it, for many small steps from there. */
export function leftBy(state: PlanState, plan: Plan): PlanState {
  return { ...state, anatomy: anatomyAfter(state, plan, []) };
}

/** What is said of one choice after a further change, where the plan is laid in already: what a search for a spot asks hundreds of times. */
export function evaluateStep(left: PlanState, plan: Plan, choice: Choice, changes: readonly Change[]): readonly Verdict[] {
  return verdictsOn({ ...left, anatomy: applyChanges(left.anatomy, changes) }, plan, choice);
}

/** A plan of this one choice. */
export function evaluateChoice(state: PlanState, choice: Choice): Evaluation {
  return evaluatePlan(state, { format: 4, choices: [choice] });
}

/** What an evaluation says of one choice. */
export function ofChoice(evaluation: Evaluation, choice: string): Evaluation {
  return { anatomy: evaluation.anatomy, verdicts: evaluation.verdicts.filter((v) => v.choice === choice) };
}

function anatomyAfter(state: PlanState, plan: Plan, changes: readonly Change[]): Anatomy {
  const planned = levelsApart(plan.choices.filter((c) => isThere(state.anatomy, c)).flatMap((c) => choiceChanges(c, state)));
  return planned.length + changes.length === 0 ? state.anatomy : applyChanges(state.anatomy, [...planned, ...changes]);
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

function verdictsOn(after: PlanState, plan: Plan, choice: Choice): readonly Verdict[] {
  if (!isThere(after.anatomy, choice)) return [{ ...goneVerdict(choice), choice: choice.id }];
  return choice.kind === 'pickup' ? pickupVerdicts(after, choice) : hardwareVerdicts(after, plan, choice);
}

function hardwareVerdicts(after: PlanState, plan: Plan, choice: HardwareChoice): readonly Verdict[] {
  if (choice.cut) return cutByItself(after, choice).map((v) => ({ ...v, choice: choice.id }));
  const site = siteOf(after, plan, choice);
  return site ? HARDWARE_CHECKS.flatMap((check) => check(site)).map((v) => ({ ...v, choice: choice.id })) : [];
}

/** The place that a choice was made for is not on the instrument any more: it says so, and no number. */
function goneVerdict(choice: Choice): Verdict {
  return { ...missingVerdict('placeGone', { feature: choice.id }, [], 0), class: 'clashes' };
}

function pickupVerdicts(after: PlanState, choice: PickupChoice): readonly Verdict[] {
  const place = placeOf(after, choice);
  return PICKUP_CHECKS.flatMap((check) => check(place)).map((v) => ({ ...v, choice: choice.id }));
}
