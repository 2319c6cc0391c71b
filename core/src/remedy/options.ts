import {
  bareChoice,
  choiceRow,
  evaluatePlan,
  isAbout,
  ofChoice,
  withChoice,
  type Choice,
  type Evaluation,
  type Plan,
  type PlanState,
  type Verdict,
} from '../check/index.js';
import { cuttingFor, type CuttingPlan } from '../cut/index.js';
import { minutesOf } from '../work/index.js';
import type { ChoiceWays, RemedyRows } from './choice-ways.js';
import { hasTools } from './minutes.js';
import type { Proposal } from './proposal.js';
import { score, type OwnerRequest, type Score } from './score.js';
import type { WayBack } from './way-back.js';

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

/** A way out that is worked out, and how many there will be. */
export interface OptionInTurn {
  readonly option: Option;
  readonly of: number;
}

/** The ways out of a choice’s kind. Throws RangeError for a kind that nobody registered. */
export function waysOf({ ways }: Pick<RemedyRows, 'ways'>, { kind }: Choice): ChoiceWays {
  const row = ways[kind];
  if (!row) throw new RangeError(`no ways out for such a kind of choice: ${kind}`);
  return row;
}

/** Every way out of one choice of a plan, worked out in the whole of it and ranked: the best first, the excluded after, the baseline last. */
export function optionsFor(rows: RemedyRows, state: PlanState, plan: Plan, choice: Choice, request: OwnerRequest): readonly Option[] {
  return ranked([...optionsInTurn(rows, state, plan, choice, request)].map((o) => o.option));
}

/** The same one after the other, not ranked yet: each is a sum of its own, between two of them the worker can tell how far it is. */
export function* optionsInTurn(rows: RemedyRows, state: PlanState, plan: Plan, choice: Choice, request: OwnerRequest): Generator<OptionInTurn, void> {
  const judged = new Map<Choice, Evaluation>();
  const within = (c: Choice): Evaluation => {
    const known = judged.get(c) ?? evaluatePlan(rows, state, withChoice(plan, c));
    judged.set(c, known);
    return known;
  };
  const ways = waysOf(rows, choice);
  const bare = bareChoice(rows, choice);
  const now = within(bare);
  const proposals = ways.proposals({ rows, state, plan, now }, choice, bare);
  const kept = proposals.find((p) => p.kind === 'keep');
  if (!kept) throw new RangeError('nothing to keep');
  const found = within(kept.choice);
  for (const p of proposals) yield { option: workOut(p, { rows, state, request, within, now, found, asked: choice.part }), of: proposals.length };
}

/** The best first, the excluded after, the baseline last. */
export function ranked(options: readonly Option[]): readonly Option[] {
  return [...options].sort(byRank);
}

/** What a remedy is worked out on: how things stand before it, as planned so far, and as found; and the part that was asked for. */
interface Ground {
  readonly rows: RemedyRows;
  readonly state: PlanState;
  readonly request: OwnerRequest;
  /** A choice judged in the whole plan. */
  readonly within: (choice: Choice) => Evaluation;
  readonly now: Evaluation;
  readonly found: Evaluation;
  readonly asked: string | null;
}

function workOut(proposal: Proposal, ground: Ground): Option {
  const { rows, state, request, within, now, found, asked } = ground;
  const { choice } = proposal;
  const whole = within(choice);
  const evaluation = ofChoice(whole, choice.id);
  const cutting = cuttingFor(rows, state, choice);
  const ways = waysOf(rows, choice);
  const back = ways.wayBack(ground, choice, evaluation);
  const minutes = minutesOf(rows, state, choice, cutting);
  const before = new Set([...now.verdicts, ...found.verdicts].filter((v) => v.class === 'clashes').map((v) => v.id));
  const newClashes = whole.verdicts.filter((v) => v.class === 'clashes' && !before.has(v.id));
  const owner = ways.owner(ground, choice, asked, request);
  const toolsHere = hasTools(cutting) && proposal.lacks.length === 0;
  return {
    proposal,
    evaluation,
    cutting,
    back,
    minutes,
    newClashes,
    excluded: exclusion(ground, proposal, evaluation, back),
    score: score({ owner, evaluation, back, minutes, price: proposal.price, risk: proposal.risk, toolsHere }, state.settings, request.weights),
  };
}

function exclusion({ rows, state, request, found }: Ground, p: Proposal, evaluation: Evaluation, back: WayBack): Exclusion | null {
  if (p.kind === 'keep') return { kind: 'baseline' };
  const places = choiceRow(rows, p.choice).places(p.choice, state.anatomy);
  if (back.woodCut && places.some((place) => request.doNotTouch.includes(place))) return { kind: 'doNotTouch' };
  if (request.reversibleOnly && (back.woodCut || back.plateCut || !back.works)) return { kind: 'reversibleOnly' };
  const weak = weakest(evaluation, ofChoice(found, p.choice.id), state.settings.strengthLeast);
  if (weak) return weak;
  const clashes = evaluation.verdicts.filter((v) => v.class === 'clashes').length;
  return clashes > 0 ? { kind: 'unsolved', clashes } : null;
}

/** The worst-case floor or wall below the least for strength, where the plan makes it thinner than it was found. */
function weakest(evaluation: Evaluation, found: Evaluation, least: number): Exclusion | null {
  const structural = (v: Verdict): boolean => isAbout(v, 'structural');
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
