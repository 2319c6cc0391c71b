import { cavityOfRoute, isFitted, type Choice, type PlanState } from '../check/index.js';
import { cuttingFor } from '../cut/index.js';
import { isIrreversible, operationRow, type Operation } from '../operation/index.js';
import { hindrances, inOrder, nextOperation, type Hindrance, type Waiver } from '../order/index.js';
import { freeOf, isOfPart } from '../part/index.js';
import { operationsNow, type PlannedOperation } from '../work/index.js';
import type { CardContext, GateRows, StepCard } from './card.js';
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
export function operationsOfBench(
  rows: GateRows,
  { operations, choices, job, state }: Pick<BenchInput, 'operations' | 'choices' | 'job' | 'state'>,
): readonly PlannedOperation[] {
  return operationsNow(
    rows,
    operations,
    Object.entries(choices).map(([decision, choice]) => ({ decision, job, choice })),
    state,
  );
}

/** What is to be done now: the next step of the first operation that is not finished. One that was begun and has no step left by the plan of now is skipped, and said so. */
export function benchNow(rows: GateRows, input: BenchInput): Bench {
  const made = operationsOfBench(rows, input);
  // what is logged to its end, or begun with no step left, is over, also before its row says so
  const over = made.filter((o) => isOpen(o) && (o.state === 'doing' || input.log.some((l) => l.operation === o.id)) && isLogged(rows, o, input));
  const skipped = over.filter((o) => o.state === 'doing').map((o) => o.id);
  const live = made.filter((o) => !over.includes(o));
  const ordered = inOrder(rows, made);
  const operation = nextOperation(ordered.filter((o) => live.includes(o)));
  if (!operation) return { ordered, skipped, operation: null, cards: [], now: 0, hindrances: [] };
  const cards = cardsOf(rows, operation, input);
  const completed = completedSteps(operation.id, input.log);
  const open = cards.findIndex((c) => !completed.has(c.key));
  const gates = {
    clearToCut: input.cleared.includes(operation.decision) || !isIrreversible(rows, operation.kind),
    partInHand: partInHand(rows, operation, input),
  };
  return {
    ordered,
    skipped,
    operation,
    cards,
    now: open === -1 ? cards.length : open,
    hindrances: hindrances(rows, operation, live, input.waivers, gates),
  };
}

const isOpen = (o: Operation): boolean => o.state !== 'done' && o.state !== 'dropped';

/** Has every step of an operation been logged that it has by the plan of now? */
function isLogged(rows: GateRows, o: Operation, input: BenchInput): boolean {
  const completed = completedSteps(o.id, input.log);
  return cardsOf(rows, o, input).every((c) => completed.has(c.key));
}

/** The cards of one operation with what was measured in it so far. */
export function cardsOf(rows: GateRows, operation: Operation, input: BenchInput): readonly StepCard[] {
  const { state } = input;
  const choice = input.choices[operation.decision] ?? null;
  const part = state.parts[choice?.part ?? ''];
  const read = input.log.filter((l) => l.operation === operation.id && l.measured !== null);
  const context: CardContext = {
    rows,
    operation,
    choice,
    state,
    cavity: (choice && cavityOfRoute(rows, state.anatomy, choice)?.id) ?? '',
    route: choice?.route ?? null,
    cutting: choice && cuttingFor(rows, state, choice),
    partName: part?.name ?? '',
    wired: part !== undefined && isOfPart(rows, part.kind, 'wired'),
    depthLimit: state.settings.limitPlannedDepth,
    measured: read[read.length - 1]?.measured ?? null,
  };
  return stepCards(context);
}

/** Steps that need not be done again: done, or done wrong but with the wood gone all the same. */
export function completedSteps(operation: string, log: readonly LoggedStep[]): ReadonlySet<string> {
  return new Set(log.filter((l) => l.operation === operation && (l.outcome === 'done' || l.measured !== null)).map((l) => l.step));
}

/** Is the part there: in a drawer and kept for nobody else, on the bench since it came out, or taken for this very place already? */
function partInHand(rows: GateRows, operation: Operation, { state, choices, log }: BenchInput): boolean {
  const choice = choices[operation.decision];
  const part = choice?.part ?? null;
  if (!choice || part === null || choice.returns === true) return true;
  const { takes } = operationRow(rows, operation.kind);
  const taken = log.some((l) => l.operation === operation.id && takes !== null && l.step.endsWith(` ${takes}`));
  return taken || isFitted(rows, choice, state) || freeOf(state.stock, part, operation.decision) > 0;
}
