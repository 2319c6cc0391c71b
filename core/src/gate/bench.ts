import { evaluateChoice, type Choice, type PickupChoice, type PlanState, type Verdict } from '../check/index.js';
import { holeSteps, newHoleSteps, cuttingFor, type CuttingPlan } from '../cut/index.js';
import type { Hole } from '../instrument/index.js';
import { OPERATIONS, type Operation } from '../operation/index.js';
import { hindrances, inOrder, nextOperation, type Hindrance, type Rule, type Waiver } from '../order/index.js';
import { stockOf, type Tool } from '../part/index.js';
import { stepCards, type CardContext, type StepCard } from './step-cards.js';

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
  /** What was chosen by each decision in force. */
  readonly choices: Readonly<Record<string, Choice>>;
  readonly tools: readonly Tool[];
  readonly operations: readonly Operation[];
  readonly rules: readonly Rule[];
  readonly waivers: readonly Waiver[];
  readonly log: readonly LoggedStep[];
  /** The decisions for which a clearance stands. */
  readonly cleared: readonly string[];
}

/** The operation at hand, its cards, the one to do now, and what hinders. */
export interface Bench {
  readonly ordered: readonly Operation[];
  readonly operation: Operation | null;
  readonly cards: readonly StepCard[];
  /** Index of the card to do now; the number of cards when all are done. */
  readonly now: number;
  readonly hindrances: readonly Hindrance[];
}

/** What is to be done now. The next step of the first operation that is not finished. */
export function benchNow(input: BenchInput): Bench {
  const ordered = inOrder(input.operations, input.rules);
  const operation = nextOperation(ordered);
  if (!operation) return { ordered, operation: null, cards: [], now: 0, hindrances: [] };
  const cards = cardsOf(operation, input);
  const completed = completedSteps(operation.id, input.log);
  const open = cards.findIndex((c) => !completed.has(c.key));
  const gates = {
    clearToCut: input.cleared.includes(operation.decision) || !OPERATIONS[operation.kind].irreversible,
    partInHand: partInHand(operation, input),
  };
  return {
    ordered,
    operation,
    cards,
    now: open === -1 ? cards.length : open,
    hindrances: hindrances(operation, input.operations, input.rules, input.waivers, gates),
  };
}

/** The cards of one operation with what was measured in it so far. */
export function cardsOf(operation: Operation, input: BenchInput): readonly StepCard[] {
  const { state } = input;
  const choice = pickupChoice(operation, input);
  const position = state.anatomy.positions.find((p) => p.id === choice?.position);
  const part = state.parts[input.choices[operation.decision]?.part ?? ''];
  const read = input.log.filter((l) => l.operation === operation.id && l.measured !== null);
  const context = {
    route: choice?.route ?? null,
    cutting: cuttingOf(operation, input),
    ...holeWork(operation, input),
    cavity: position?.cavity ?? '',
    partName: part?.name ?? '',
    depthLimit: state.settings.limitPlannedDepth,
    measured: read[read.length - 1]?.measured ?? null,
    gap: operation.kind === 'testFit' && choice ? gapOf(state, choice) : null,
  };
  return stepCards(operation, context, input.rules);
}

/** Steps that need not be done again: done, or done wrong but with the wood gone all the same. */
export function completedSteps(operation: string, log: readonly LoggedStep[]): ReadonlySet<string> {
  return new Set(log.filter((l) => l.operation === operation && (l.outcome === 'done' || l.measured !== null)).map((l) => l.step));
}

/** How much room the part should have in the route as it now is, at its tightest. */
function gapOf(state: PlanState, choice: PickupChoice): CardContext['gap'] {
  const room = evaluateChoice(state, choice).verdicts.filter((v) => v.check === 'partInRoute');
  const least = room.reduce<Verdict | null>((w, v) => (v.clearance !== null && (w?.clearance ?? Infinity) > v.clearance ? v : w), null);
  return least?.clearance == null ? null : { expected: Math.max(0, least.clearance), limit: least.worst ?? 0 };
}

function pickupChoice(operation: Operation, { choices }: BenchInput): PickupChoice | null {
  const choice = choices[operation.decision];
  return choice?.kind === 'pickup' ? choice : null;
}

function cuttingOf(operation: Operation, input: BenchInput): CuttingPlan | null {
  const choice = input.choices[operation.decision];
  return choice ? cuttingFor(input.state, choice, input.tools) : null;
}

/** The drills and the end of the work at a hole, and the floors that go deeper, from the choice behind it. */
function holeWork(operation: Operation, { choices, state, tools }: BenchInput): Pick<CardContext, 'steps' | 'final' | 'deeper' | 'trimmed' | 'row'> {
  const work = choices[operation.decision]?.work ?? [];
  const deeper = work.flatMap((w) => {
    if (w.kind === 'setDepth') return [{ cavity: w.cavity, level: w.level, depth: w.depth.value }];
    if (w.kind === 'addCavity') return w.cavity.levels.map((p) => ({ cavity: w.cavity.id, level: p.id, depth: p.depth?.value ?? 0 }));
    return operation.kind === 'cutChannel' && w.kind === 'addLevels'
      ? w.levels.map((p) => ({ cavity: w.cavity, level: p.id, depth: p.depth?.value ?? 0 }))
      : [];
  });
  const trimmed = work.find((w) => w.kind === 'trimPickup')?.trimmed ?? null;
  const sized = work.find((w) => w.kind === 'sizeHole');
  const bored = work.find((w) => w.kind === 'deepenHole');
  const holes = work.flatMap((w) => (w.kind === 'addHole' ? [w.hole] : []));
  const rest = { deeper, trimmed, row: rowOf(holes) };
  if (operation.kind === 'drillRow') return { ...rest, steps: newHoleSteps(holes[0]?.diameter?.value ?? 0, tools).drills, final: null };
  if (!sized) return { ...rest, steps: [], final: bored?.depth.value ?? null };
  const now = state.anatomy.holes.find((h) => h.id === sized.hole)?.diameter?.value ?? 0;
  return { ...rest, steps: operation.kind === 'openHole' ? holeSteps(now, sized.diameter.value, tools).drills : [], final: sized.diameter.value };
}

/** What a card says of holes in a row. */
function rowOf(holes: readonly Hole[]): CardContext['row'] {
  const [first, second] = holes;
  if (!first || !second) return {};
  return {
    holes: holes.length,
    pitch: Math.hypot(second.at.x - first.at.x, second.at.y - first.at.y),
    x: first.at.x,
    y: first.at.y,
    through: first.through ? 'yes' : 'no',
    depth: first.depth?.value ?? 0,
  };
}

function partInHand(operation: Operation, { state, choices }: BenchInput): boolean {
  const choice = choices[operation.decision];
  const part = choice?.part ?? null;
  return part === null || choice?.returns === true || stockOf(state.stock, part) > 0;
}
