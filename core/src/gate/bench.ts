import { cavityOfRoute, type Choice, type PlanState } from '../check/index.js';
import { cuttingFor } from '../cut/index.js';
import { hasStarted, isByHand, isIrreversible, operationRow, type Operation, type PlacedOperation } from '../operation/index.js';
import { benchState, hindrances, inOrder, nextOperation, withBench, type BenchChange, type Hindrance, type Waiver } from '../order/index.js';
import { isOfPart } from '../part/index.js';
import { idOf, operationsNow, usualMinutes, type PlannedOperation } from '../work/index.js';
import type { CardContext, GateRows, StepCard } from './card.js';
import { isPartHere } from './part-in-hand.js';
import { stepCards } from './step-cards.js';
import { togetherIn, type Together } from './together.js';

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
  /** The decisions that need no owner's yes, or have it. */
  readonly agreed: readonly string[];
  /** The decisions for which a clearance stands. */
  readonly cleared: readonly string[];
  /** Steps on the instrument that were done without being judged and that nobody has looked at. */
  readonly unlooked: readonly string[];
}

/** The operation at hand, its cards, the one to do now, and what hinders. */
export interface Bench {
  /** As they are now: made anew from the plan where they have not begun. */
  readonly ordered: readonly PlannedOperation[];
  /** What has no step left to do by the plan of now, though it was begun. */
  readonly skipped: readonly string[];
  readonly operation: PlannedOperation | null;
  /** What is done step by step together, of what is not over. */
  readonly together: readonly Together[];
  readonly cards: readonly StepCard[];
  /** Index of the card to do now; the number of cards when all are done. */
  readonly now: number;
  readonly hindrances: readonly Hindrance[];
}

/** The operations of the decisions in force as the plan makes them now, in their order, with the changes of the bench that they ask for. */
export function operationsOfBench(
  rows: GateRows,
  { operations, choices, job, state, log }: Pick<BenchInput, 'operations' | 'choices' | 'job' | 'state' | 'log'>,
): readonly PlannedOperation[] {
  const wanted = Object.entries(choices).map(([decision, choice]) => ({ decision, job, choice }));
  // how things lie on the bench outlasts the decision that asked for it
  const changes = operations.flatMap((o) => (isChange(o) && hasStarted(o) ? [asChange(rows, o, state)] : []));
  const made = operations.filter((o) => !isChange(o) && !isByHand(o));
  const byHand = operations.flatMap((o) => (isByHand(o) && o.state !== 'dropped' ? [asOwn(rows, o, state)] : []));
  const ordered = inOrder(rows, [...operationsNow(rows, made, wanted, state), ...byHand]);
  const finished = new Map(log.map((l) => [l.operation, l.at]));
  const over = new Set(changes.flatMap((c) => (c.state === 'done' ? [c.id] : [])));
  const asked = withBench(rows, ordered, benchState(rows, changes, finished)).map((x) => {
    if (!('by' in x)) return x;
    // the same change for the same operation once more: strings that came off again
    const keys = Array.from({ length: over.size + 1 }, (_, i) => (i === 0 ? x.key : `${x.key} ${i + 1}`));
    const key = keys.find((k) => !over.has(idOf(x.by.decision, k))) ?? x.key;
    return benchOperation(rows, { ...x, key }, job, state, changes);
  });
  return [...changes.filter((c) => !asked.some((o) => o.id === c.id)), ...asked];
}

const isChange = (o: Operation): boolean => o.source.of === 'job';

/** Own work as the bench takes it: where and how long whoever put it in said. */
function asOwn(rows: GateRows, o: Operation, state: PlanState): PlannedOperation {
  const { minutes = usualMinutes(rows, o.kind, state), wait = 0 } = o.own ?? {};
  return {
    ...o,
    at: { features: o.subject.id === '' ? [] : [o.subject.id], cavities: [], zones: [], holes: [] },
    bench: { needs: [], makes: [] },
    minutes,
    moves: [],
    ...(wait > 0 ? { waitAfter: { until: 'cure', minutes: wait } } : {}),
  };
}

/** A change of the bench, with what it makes by the row of what it changes. */
function asChange(rows: GateRows, o: Operation, state: PlanState): PlannedOperation {
  const row = rows.bench.find((b) => Object.values(b.states).includes(o.kind));
  const whole = row === undefined || o.subject.id === row.of;
  const is = Object.entries(row?.states ?? {}).flatMap(([made, kind]) => (kind === o.kind ? [made] : []));
  return {
    ...o,
    at: { features: whole ? [] : [o.subject.id], cavities: [], zones: [], holes: [] },
    bench: { needs: [], makes: row ? [{ of: row.of, ...(whole ? {} : { at: o.subject.id }), is }] : [] },
    minutes: usualMinutes(rows, o.kind, state),
    moves: [],
  };
}

/** The operation of a change of the bench: made for the decision that asks for it, kept under its key once it has begun. */
function benchOperation(
  rows: GateRows,
  { key, kind, of, at, by }: BenchChange,
  job: string,
  state: PlanState,
  begun: readonly PlannedOperation[],
): PlannedOperation {
  const id = idOf(by.decision, key);
  const kept = begun.find((o) => o.id === id);
  if (kept) return kept;
  const source = { of: 'job' as const, id: job };
  const row: Operation = {
    id,
    job,
    decision: by.decision,
    source,
    key,
    kind,
    subject: { aspect: 'anatomy', id: at ?? of },
    does: [],
    lapses: [],
    state: 'proposed',
    rank: null,
  };
  return asChange(rows, row, state);
}

/** What is to be done now: the next step of the first operation that is not finished. One that was begun and has no step left by the plan of now is skipped, and said so. */
export function benchNow(rows: GateRows, input: BenchInput): Bench {
  const made = operationsOfBench(rows, input);
  // what is logged to its end, or begun with no step left, is over, also before its row says so
  const over = made.filter((o) => isOpen(o) && (o.state === 'doing' || input.log.some((l) => l.operation === o.id)) && isLogged(rows, o, input));
  const skipped = over.filter((o) => o.state === 'doing').map((o) => o.id);
  const live = made.filter((o) => !over.includes(o));
  const together = togetherIn(rows, live.filter(isOpen), (o) => cardsOf(rows, o, input));
  const next = nextOperation(live);
  if (!next) return { ordered: made, skipped, operation: null, together, cards: [], now: 0, hindrances: [] };
  const operation = leastFar(together.find((t) => t.includes(next.id)) ?? [], live, input.log) ?? next;
  const cards = cardsOf(rows, operation, input);
  const completed = completedSteps(operation.id, input.log);
  const open = cards.findIndex((c) => !completed.has(c.key));
  const gates = {
    clearToCut: input.cleared.includes(operation.decision) || !isIrreversible(rows, operation.kind),
    partInHand: partInHand(rows, operation, input),
    ownerAgreed: input.agreed.includes(operation.decision),
    lookedAt: input.unlooked.length === 0 || !isIrreversible(rows, operation.kind),
  };
  return {
    ordered: made,
    skipped,
    operation,
    together,
    cards,
    now: open === -1 ? cards.length : open,
    hindrances: hindrances(rows, operation, live, input.waivers, gates),
  };
}

/** Of what is done together the first of those that are least far. */
function leastFar(together: Together, live: readonly PlannedOperation[], log: readonly LoggedStep[]): PlannedOperation | null {
  const far = (o: PlannedOperation): number => completedSteps(o.id, log).size;
  return live.filter((o) => together.includes(o.id)).reduce<PlannedOperation | null>((least, o) => (least && far(least) <= far(o) ? least : o), null);
}

const isOpen = (o: Operation): boolean => o.state !== 'done' && o.state !== 'dropped';

/** Has every step of an operation been logged that it has by the plan of now? */
function isLogged(rows: GateRows, o: PlacedOperation, input: BenchInput): boolean {
  const completed = completedSteps(o.id, input.log);
  return cardsOf(rows, o, input).every((c) => completed.has(c.key));
}

/** The cards of one operation with what was measured in it so far. */
export function cardsOf(rows: GateRows, operation: PlacedOperation, input: BenchInput): readonly StepCard[] {
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
  return taken || isPartHere(rows, operation.decision, choice, state);
}
