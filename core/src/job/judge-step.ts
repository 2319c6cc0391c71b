import type { Choice, PlanState } from '../check/index.js';
import { benchNow, depthReached, type GateItem, type GateRows, type StepCard } from '../gate/index.js';
import { valueOf } from '../measure/index.js';
import { isIrreversible, operationRow } from '../operation/index.js';
import type { Hindrance } from '../order/index.js';
import type { Move } from '../part/index.js';
import type { AnyTarget } from '../quantity/index.js';
import type { PlannedOperation } from '../work/index.js';
import { standingClearance } from './clearance.js';
import { benchInput, type JobInHand } from './in-hand.js';
import { groundOf } from './judge-gate.js';
import { lapsedSince } from './lapsed-since.js';
import { stepFlaw, type StepFlaw, type StepSaid } from './step-flaw.js';

/** A step that is to be logged, with the numbers that were on its card, mm by label. */
export interface StepToLog extends StepSaid {
  readonly operation: string;
  readonly step: string;
  /** Why the part is here though no drawer says so. */
  readonly counted?: string;
  /** Why it was done though nobody could judge it: it is kept as a fact of the wood. */
  readonly unjudged?: string;
  readonly seen: Readonly<Record<string, number>>;
}

/** Why a step cannot be logged. */
export type StepRefusal =
  /** It is not the one to do now; `operation` and `step` are. */
  | { readonly kind: 'otherStep'; readonly operation: string | null; readonly step: string | null }
  | { readonly kind: 'hindered'; readonly hindrances: readonly Hindrance[] }
  | { readonly kind: 'noClearance' }
  | { readonly kind: 'clearanceLapsed'; readonly open: readonly GateItem[] }
  | { readonly kind: 'numbersDiffer'; readonly now: Readonly<Record<string, number>> }
  | { readonly kind: 'flaw'; readonly flaw: StepFlaw };

/** What logging a step comes to, before anything is written. */
export interface StepOutcome {
  readonly kind: 'logged';
  readonly operation: PlannedOperation;
  /** What its decision is about; null for what is changed on the bench after its decision was taken back. */
  readonly choice: Choice | null;
  readonly state: 'doing' | 'done';
  /** The numbers of the card, mm by label. */
  readonly numbers: Readonly<Record<string, number>>;
  /** What was read; null where nothing was. */
  readonly target: AnyTarget | null;
  /** How deep the work has gone by this step, mm. */
  readonly reached: number;
  /** What it takes from the drawers, or brings back. */
  readonly moves: readonly Move[];
  /** The part that is here though no drawer says so. */
  readonly counted: string | null;
}

/** A number on the screen is the same within, mm. */
const SAME = 0.001;

/** Works the bench out and judges a step that is to be logged: what it comes to, or why not. What was done without being judged need only be the step at hand, with a reading that can be. */
export function judgeStep(rows: GateRows, j: JobInHand, state: PlanState, said: StepToLog, today: Date): StepOutcome | StepRefusal {
  const bench = benchNow(rows, { ...benchInput(j), state });
  const { cards, now } = bench;
  const operation = j.operations.find((o) => o.id === bench.operation?.id);
  const card = cards[now];
  if (operation?.id !== said.operation || card?.key !== said.step) return { kind: 'otherStep', operation: operation?.id ?? null, step: card?.key ?? null };
  const hindrances = bench.hindrances.filter((h) => said.counted === undefined || h.kind !== 'gate' || h.state !== 'partInHand');
  const judged = said.unjudged === undefined;
  if (judged && hindrances.length > 0) return { kind: 'hindered', hindrances };
  const unclear = judged && isIrreversible(rows, operation.kind) ? whyNotClear(rows, j, state, operation.decision, today) : null;
  if (unclear) return unclear;
  const shown = numbersOf(card);
  if (judged && !sameNumbers(shown, said.seen)) return { kind: 'numbersDiffer', now: shown };
  const choice = benchInput(j).choices[operation.decision] ?? null;
  const flaw = stepFlaw(rows, { card, choice, state }, said);
  if (flaw) return { kind: 'flaw', flaw };
  const complete = said.outcome === 'done' || said.measured !== null;
  return {
    kind: 'logged',
    operation,
    choice,
    state: complete && now === cards.length - 1 ? 'done' : 'doing',
    numbers: judged ? shown : said.seen,
    target: said.measured ? (card.asks?.target ?? null) : null,
    reached: depthReached(cards, now),
    moves: complete && card.kind === operationRow(rows, operation.kind).takes ? operation.moves : [],
    counted: bench.hindrances.length > hindrances.length ? (choice?.part ?? null) : null,
  };
}

/** The numbers of a card as they are kept with its step, mm by label. */
export const numbersOf = ({ numbers }: Pick<StepCard, 'numbers'>): Readonly<Record<string, number>> =>
  Object.fromEntries(numbers.map((n) => [n.label, valueOf(n.working)]));

/** What is still to be cut must clear at each step, not only at the first. */
function whyNotClear(rows: GateRows, j: JobInHand, state: PlanState, of: string, today: Date): StepRefusal | null {
  const decision = j.decisions.find((d) => d.id === of);
  const standing = decision && standingClearance(decision, j);
  const choice = benchInput(j).choices[of];
  if (!standing || !j.plan || !choice) return { kind: 'noClearance' };
  const ground = groundOf(rows, j, { decision: of, choice, plan: j.plan, state, today, tired: null });
  const open = lapsedSince(standing, ground);
  return open.length > 0 ? { kind: 'clearanceLapsed', open } : null;
}

function sameNumbers(now: Readonly<Record<string, number>>, seen: Readonly<Record<string, number>>): boolean {
  const labels = new Set([...Object.keys(now), ...Object.keys(seen)]);
  return [...labels].every((l) => Math.abs((now[l] ?? NaN) - (seen[l] ?? NaN)) <= SAME);
}
