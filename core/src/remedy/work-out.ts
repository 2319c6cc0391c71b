import { choiceRow, isAbout, ofChoice, type Choice, type Evaluation, type PlanState, type Verdict } from '../check/index.js';
import { cuttingFor, type CuttingPlan } from '../cut/index.js';
import { minutesOf } from '../work/index.js';
import { waysOf, type RemedyRows } from './choice-ways.js';
import { hasTools } from './minutes.js';
import type { WayOut } from './proposal.js';
import { score, type OwnerRequest, type Score } from './score.js';
import type { WayBack } from './way-back.js';

/** Why an option is not ranked. */
export type Exclusion =
  | { readonly kind: 'baseline' }
  | { readonly kind: 'doNotTouch' }
  | { readonly kind: 'reversibleOnly' }
  | { readonly kind: 'strength'; readonly verdict: string; readonly left: number; readonly least: number }
  | { readonly kind: 'unsolved'; readonly clashes: number }
  /** Nothing is done about what may clash: too close to call, or not measured. */
  | { readonly kind: 'unsettled'; readonly tooClose: number; readonly notMeasured: number };

/** A way out, worked out. */
export interface Option {
  readonly proposal: WayOut;
  readonly evaluation: Evaluation;
  readonly cutting: CuttingPlan | null;
  readonly back: WayBack;
  readonly minutes: number;
  /** Clashes that were not there before it. */
  readonly newClashes: readonly Verdict[];
  readonly excluded: Exclusion | null;
  readonly score: Score;
}

/** What a remedy is worked out on: how things stand before it, as planned so far, and as found; and the part that was asked for. */
export interface OptionGround {
  readonly rows: RemedyRows;
  readonly state: PlanState;
  readonly request: OwnerRequest;
  /** A choice judged in the whole plan. */
  readonly within: (choice: Choice) => Evaluation;
  readonly now: Evaluation;
  readonly found: Evaluation;
  readonly asked: string | null;
}

/** A way out with its numbers: judged in the whole plan, its minutes, its way back, why it is not ranked, its score. */
export function workOut(proposal: WayOut, ground: OptionGround): Option {
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

function exclusion({ rows, state, request, found }: OptionGround, p: WayOut, evaluation: Evaluation, back: WayBack): Exclusion | null {
  if (p.kind === 'keep') return { kind: 'baseline' };
  const places = choiceRow(rows, p.choice).places(p.choice, state.anatomy);
  if (back.woodCut && places.some((place) => request.doNotTouch.includes(place))) return { kind: 'doNotTouch' };
  if (request.reversibleOnly && (back.woodCut || back.plateCut || !back.works)) return { kind: 'reversibleOnly' };
  const weak = weakest(evaluation, ofChoice(found, p.choice.id), state.settings.strengthLeast);
  if (weak) return weak;
  const count = (of: Verdict['class']): number => evaluation.verdicts.filter((v) => v.class === of).length;
  const clashes = count('clashes');
  if (clashes > 0) return { kind: 'unsolved', clashes };
  const [tooClose, open] = [count('tooClose'), count('notMeasured')];
  return nothingDone(p) && tooClose + open > 0 ? { kind: 'unsettled', tooClose, notMeasured: open } : null;
}

const nothingDone = ({ of }: WayOut): boolean => of.every((p) => Object.keys(p.sets).length === 0);

/** The worst-case floor or wall below the least for strength, where the plan makes it thinner than it was found. */
function weakest(evaluation: Evaluation, found: Evaluation, least: number): Exclusion | null {
  const structural = (v: Verdict): boolean => isAbout(v, 'structural');
  const left = (v: Verdict): number => (v.clearance ?? 0) - (v.worst ?? 0);
  const asFound = Math.min(Infinity, ...found.verdicts.filter((v) => structural(v) && v.clearance !== null).map(left));
  const thin = evaluation.verdicts.filter((v) => structural(v) && v.clearance !== null && left(v) < least && left(v) < asFound - 1e-6);
  const worst = thin.reduce<Verdict | null>((w, v) => (w && left(w) <= left(v) ? w : v), null);
  return worst ? { kind: 'strength', verdict: worst.id, left: left(worst), least } : null;
}
