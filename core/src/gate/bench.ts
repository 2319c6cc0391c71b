import { evaluateChoice, type Choice, type PlanState, type Verdict } from '../check/index.js';
import { cuttingFor } from '../cut/index.js';
import { isIrreversible, OPERATIONS, workKey, type Operation } from '../operation/index.js';
import { hindrances, inOrder, nextOperation, type Hindrance, type Rule, type Waiver } from '../order/index.js';
import { freeOf, hasWires } from '../part/index.js';
import { operationsNow, type PlannedOperation } from '../work/index.js';
import { asPickup, type CardContext, type StepCard } from './card.js';
import { stepCards } from './step-cards.js';

/** A step as it was logged, as far as the bench is concerned. */
export interface LoggedStep {
  readonly operation: string;
  readonly step: string;
  readonly outcome: 'done' | 'wentWrong';
  readonly measured: number | null;
  /** ISO 8601. */
  readonly at: string;
}

/** Everything the bench is made from. */
export interface BenchInput {
  readonly state: PlanState;
  readonly job: string;
  /** What was chosen by each decision in force. */
  readonly choices: Readonly<Record<string, Choice>>;
  /** As they are stored. */
  readonly operations: readonly Operation[];
  readonly rules: readonly Rule[];
  readonly waivers: readonly Waiver[];
  readonly log: readonly LoggedStep[];
  /** The decisions for which a clearance stands. */
  readonly cleared: readonly string[];
}

/** The operation at hand, its cards, the one to do now, and what hinders. */
export interface Bench {
  /** As they are now: made anew from the plan where they have not begun. */
  readonly ordered: readonly Operation[];
  /** What has no step left to do by the plan of now, though it was begun. */
  readonly skipped: readonly string[];
  readonly operation: Operation | null;
  readonly cards: readonly StepCard[];
  /** Index of the card to do now; the number of cards when all are done. */
  readonly now: number;
  readonly hindrances: readonly Hindrance[];
}

/** The operations of the decisions in force as the plan makes them now. */
export function operationsOfBench({
  operations,
  choices,
  job,
  state,
}: Pick<BenchInput, 'operations' | 'choices' | 'job' | 'state'>): readonly PlannedOperation[] {
  return operationsNow(
    operations,
    Object.entries(choices).map(([decision, choice]) => ({ decision, job, choice })),
    state,
  );
}

/** What is to be done now: the next step of the first operation that is not finished. One that was begun and has no step left by the plan of now is skipped, and said so. */
export function benchNow(input: BenchInput): Bench {
  const made = operationsOfBench(input);
  // what is logged to its end, or begun with no step left, is over, also before its row says so
  const over = made.filter((o) => isOpen(o) && (o.state === 'doing' || input.log.some((l) => l.operation === o.id)) && isLogged(o, input));
  const skipped = over.filter((o) => o.state === 'doing').map((o) => o.id);
  const live = made.filter((o) => !over.includes(o));
  const ordered = inOrder(made, input.rules);
  const operation = nextOperation(ordered.filter((o) => live.includes(o)));
  if (!operation) return { ordered, skipped, operation: null, cards: [], now: 0, hindrances: [] };
  const cards = cardsOf(operation, input);
  const completed = completedSteps(operation.id, input.log);
  const open = cards.findIndex((c) => !completed.has(c.key));
  const gates = {
    clearToCut: input.cleared.includes(operation.decision) || !isIrreversible(operation.kind),
    partInHand: partInHand(operation, input),
  };
  return {
    ordered,
    skipped,
    operation,
    cards,
    now: open === -1 ? cards.length : open,
    hindrances: hindrances(operation, live, input.rules, input.waivers, gates),
  };
}

const isOpen = (o: Operation): boolean => o.state !== 'done' && o.state !== 'dropped';

/** Has every step of an operation been logged that it has by the plan of now? */
function isLogged(o: Operation, input: BenchInput): boolean {
  const completed = completedSteps(o.id, input.log);
  return cardsOf(o, input).every((c) => completed.has(c.key));
}

/** The cards of one operation with what was measured in it so far. */
export function cardsOf(operation: Operation, input: BenchInput): readonly StepCard[] {
  const { state } = input;
  const choice = input.choices[operation.decision] ?? null;
  const pickup = asPickup(choice);
  const position = state.anatomy.positions.find((p) => p.id === pickup?.position);
  const part = state.parts[choice?.part ?? ''];
  const read = input.log.filter((l) => l.operation === operation.id && l.measured !== null);
  const context: CardContext = {
    operation,
    choice,
    state,
    cavity: position?.cavity ?? '',
    route: pickup?.route ?? null,
    cutting: choice && cuttingFor(state, choice, state.tools),
    partName: part?.name ?? '',
    wired: part !== undefined && hasWires(part.kind),
    depthLimit: state.settings.limitPlannedDepth,
    measured: read[read.length - 1]?.measured ?? null,
    gap: operation.kind === 'testFit' && choice ? gapOf(state, choice) : null,
  };
  return stepCards(context, input.rules);
}

/** Steps that need not be done again: done, or done wrong but with the wood gone all the same. */
export function completedSteps(operation: string, log: readonly LoggedStep[]): ReadonlySet<string> {
  return new Set(log.filter((l) => l.operation === operation && (l.outcome === 'done' || l.measured !== null)).map((l) => l.step));
}

/** How much room the part should have in the route as it now is, at its tightest. */
function gapOf(state: PlanState, choice: Choice): CardContext['gap'] {
  const room = evaluateChoice(state, choice).verdicts.filter((v) => v.check === 'partInRoute');
  const least = room.reduce<Verdict | null>((w, v) => (v.clearance !== null && (w?.clearance ?? Infinity) > v.clearance ? v : w), null);
  return least?.clearance == null ? null : { expected: Math.max(0, least.clearance), limit: least.worst ?? 0 };
}

/** Is the part there: in a drawer and kept for nobody else, on the bench since it came out, or taken for this very place already? */
function partInHand(operation: Operation, { state, choices, log }: BenchInput): boolean {
  const choice = choices[operation.decision];
  const part = choice?.part ?? null;
  if (!choice || part === null || choice.returns === true) return true;
  const { takes } = OPERATIONS[operation.kind];
  const taken = log.some((l) => l.operation === operation.id && takes !== null && l.step.endsWith(` ${takes}`));
  const isIn = state.done.has(workKey(choice.id, choice.kind === 'pickup' ? 'fitPart' : 'fitHardware'));
  return taken || isIn || freeOf(state.stock, part, operation.decision) > 0;
}
