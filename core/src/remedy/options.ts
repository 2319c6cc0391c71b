import { evaluatePlan, ofChoice, withChoice, type Evaluation, type PickupChoice, type Plan, type PlanState, type Verdict } from '../check/index.js';
import { planCutting, type CuttingPlan } from '../cut/index.js';
import { hasTools, minutesOf } from './minutes.js';
import { pickupIn, type Tool } from '../part/index.js';
import { anotherPart } from './another-part.js';
import { keep } from './keep.js';
import type { Proposal } from './proposal.js';
import { reroute } from './reroute.js';
import { score, type Score, type Wish } from './score.js';
import { wayBack, type WayBack } from './way-back.js';

/** Why an option is not ranked. */
export type Exclusion =
  | { readonly kind: 'baseline' }
  | { readonly kind: 'doNotTouch' }
  | { readonly kind: 'reversibleOnly' }
  | { readonly kind: 'strength'; readonly verdict: string; readonly left: number; readonly least: number }
  | { readonly kind: 'unsolved'; readonly clashes: number };

/** A remedy worked out. */
export interface Option {
  readonly proposal: Proposal;
  readonly evaluation: Evaluation;
  readonly cutting: CuttingPlan | null;
  readonly back: WayBack;
  readonly minutes: number;
  /** Clashes that were not there before it. */
  readonly newClashes: readonly Verdict[];
  readonly excluded: Exclusion | null;
  readonly score: Score;
}

/** Every way out of one choice of a plan, worked out in the whole of it and ranked: the best first, the excluded after, the baseline last. */
export function optionsFor(state: PlanState, plan: Plan, choice: PickupChoice, tools: readonly Tool[], wish: Wish): readonly Option[] {
  const within: Within = (c) => evaluatePlan(state, withChoice(plan, c));
  const now = within({ ...choice, route: null });
  const found = within(first(keep(state, choice)).choice);
  const proposals = [...reroute(state, choice, tools), ...anotherPart(state, choice), ...keep(state, choice)];
  return proposals.map((p) => workOut(state, p, tools, wish, { within, now, found })).sort(byRank);
}

function first<T>(list: readonly T[]): T {
  const [x] = list;
  if (x === undefined) throw new RangeError('an empty list');
  return x;
}

/** A choice judged in the whole plan. */
type Within = (choice: PickupChoice) => Evaluation;

/** How things stand before a remedy: as planned so far, and as found. */
interface Before {
  readonly within: Within;
  readonly now: Evaluation;
  readonly found: Evaluation;
}

function workOut(state: PlanState, proposal: Proposal, tools: readonly Tool[], wish: Wish, { within, now, found }: Before): Option {
  const whole = within(proposal.choice);
  const evaluation = ofChoice(whole, proposal.choice.id);
  const position = state.anatomy.positions.find((p) => p.id === proposal.choice.position);
  const cavity = state.anatomy.cavities.find((c) => c.id === position?.cavity);
  const cutting = proposal.choice.route && cavity ? planCutting(state, cavity, proposal.choice.route, tools) : null;
  const back = wayBack(state, proposal.choice, evaluation);
  const minutes = minutesOf(proposal, cutting, state.settings);
  const before = new Set([...now.verdicts, ...found.verdicts].filter((v) => v.class === 'clashes').map((v) => v.id));
  const newClashes = whole.verdicts.filter((v) => v.class === 'clashes' && !before.has(v.id));
  const part = pickupIn(state.parts, proposal.choice.part);
  return {
    proposal,
    evaluation,
    cutting,
    back,
    minutes,
    newClashes,
    excluded: exclusion(state, proposal, evaluation, back, ofChoice(found, proposal.choice.id), wish),
    score: score(
      { part, choice: proposal.choice, evaluation, back, minutes, price: proposal.price, risk: proposal.risk, toolsHere: hasTools(cutting) },
      wish,
      state.settings,
    ),
  };
}

function exclusion(state: PlanState, p: Proposal, evaluation: Evaluation, back: WayBack, found: Evaluation, wish: Wish): Exclusion | null {
  if (p.kind === 'keep') return { kind: 'baseline' };
  if (p.choice.route && wish.doNotTouch.includes(p.choice.position)) return { kind: 'doNotTouch' };
  if (wish.reversibleOnly && (back.woodCut || !back.works)) return { kind: 'reversibleOnly' };
  const weak = weakest(evaluation, found, state.settings.strengthLeast);
  if (weak) return weak;
  const clashes = evaluation.verdicts.filter((v) => v.class === 'clashes').length;
  return clashes > 0 ? { kind: 'unsolved', clashes } : null;
}

/** The worst-case floor or wall below the least for strength, where the plan makes it thinner than it was found. */
function weakest(evaluation: Evaluation, found: Evaluation, least: number): Exclusion | null {
  const structural = (v: Verdict): boolean => v.check === 'floor' || v.check === 'wall' || v.check === 'edgeOfBody';
  const left = (v: Verdict): number => (v.clearance ?? 0) - (v.worst ?? 0);
  const asFound = Math.min(Infinity, ...found.verdicts.filter((v) => structural(v) && v.clearance !== null).map(left));
  const thin = evaluation.verdicts.filter((v) => structural(v) && v.clearance !== null && left(v) < least && left(v) < asFound - 1e-6);
  const worst = thin.reduce<Verdict | null>((w, v) => (w && left(w) <= left(v) ? w : v), null);
  return worst ? { kind: 'strength', verdict: worst.id, left: left(worst), least } : null;
}

function byRank(a: Option, b: Option): number {
  const group = (o: Option): number => (o.excluded === null ? 0 : o.excluded.kind === 'baseline' ? 2 : 1);
  return group(a) - group(b) || b.score.total - a.score.total || a.proposal.id.localeCompare(b.proposal.id);
}
