import { asSlipped, benchNow, evaluatePlan, isIrreversible, levelsCut, operationRow } from '@rinnovo/core/house';
import type { LogStep, Wrong } from '@rinnovo/contract';
import { ofChoice, type Choice } from '@rinnovo/core/check';
import { depthReached, type StepCard } from '@rinnovo/core/gate';
import type { Anatomy } from '@rinnovo/core/instrument';
import { valueOf } from '@rinnovo/core/measure';
import { isOwn, type Operation } from '@rinnovo/core/operation';
import { asksFlaw, asLeft, type Beyond, type DepthRead } from '@rinnovo/core/record';
import type { Move } from '@rinnovo/core/part';
import type { PlannedOperation } from '@rinnovo/core/work';
import { ProblemError } from '../http/problems.js';
import { benchInput, choicesOf, type JobState } from '../jobs/job-state.js';
import { judgeGate } from '../clearances/gate.js';
import { standingClearance } from '../clearances/queries.js';
import { fixed, withUnit } from '@rinnovo/words';

/** What logging a step comes to, before anything is written. */
export interface StepOutcome {
  readonly operation: PlannedOperation;
  readonly state: 'doing' | 'done';
  /** Label and mm, as the server works them out. */
  readonly numbers: Readonly<Record<string, number>>;
  /** The level whose depth was read. */
  readonly level: string | null;
  /** The instrument afterwards; null when nothing about it changed. */
  readonly anatomy: Anatomy | null;
  /** What it takes from the drawers, or brings back. */
  readonly moves: readonly Move[];
  /** The part that is here though no drawer says so. */
  readonly counted: string | null;
}

/** Recomputes the bench and judges a step that is to be logged. Throws the problem that stands against it. */
export function judgeStep(s: JobState, body: LogStep, entry: string): StepOutcome {
  const bench = benchNow(benchInput(s));
  const { cards, now } = bench;
  const operation = s.operations.find((o) => o.id === bench.operation?.id);
  const card = cards[now];
  if (operation?.id !== body.operation || card?.key !== body.step) {
    throw new ProblemError('not-now', {
      detail: 'That is not the current step.',
      current: { operation: operation?.id ?? null, step: card?.key ?? null },
      yours: { operation: body.operation, step: body.step },
    });
  }
  const hindrances = bench.hindrances.filter((h) => body.counted === undefined || h.kind !== 'gate' || h.state !== 'partInHand');
  if (hindrances.length > 0) throw new ProblemError('not-now', { detail: 'Other work comes first.', current: hindrances });
  if (isIrreversible(operation.kind)) demandStillClear(s, operation);
  const numbers = Object.fromEntries(card.numbers.map((n) => [n.label, valueOf(n.working)]));
  demandSameNumbers(numbers, body.seen);
  const choice = choicesOf(s)[operation.decision] ?? null;
  // what is changed on the bench may outlast its decision
  if (!choice && isOwn(operation)) throw new ProblemError('not-now', { detail: 'That operation has no choice.' });
  demandReading(s, choice, body, card);
  const level = card.asks?.what === 'depth' && body.measured ? (card.asks.target.part ?? null) : null;
  const last = now === cards.length - 1 && completes(body);
  return {
    operation,
    state: last ? 'done' : 'doing',
    numbers,
    level,
    anatomy: anatomyAfter(s, choice, body, operation, entry, level, last),
    moves: completes(body) && card.kind === operationRow(operation.kind).takes ? operation.moves : [],
    counted: bench.hindrances.length > hindrances.length ? (choice?.part ?? null) : null,
  };
}

function completes(body: LogStep): boolean {
  return body.outcome === 'done' || body.measured !== null;
}

/** Until the first cut is made, the clearance must still hold for the numbers as they are now. */
function demandStillClear(s: JobState, operation: Operation): void {
  const decision = s.decisions.find((d) => d.id === operation.decision);
  const standing = decision && standingClearance(s.clearances, s.ledger, decision, s.record.plan);
  if (!standing) throw new ProblemError('not-clear', { detail: 'This cut has no clearance.' });
  const cut = s.operations.some((o) => o.decision === operation.decision && isIrreversible(o.kind) && (o.state === 'doing' || o.state === 'done'));
  if (cut) return;
  const evaluation = ofChoice(evaluatePlan(s.state, s.record.plan), decision.choice);
  const choice = choicesOf(s)[decision.id];
  if (!choice) return;
  const judged = judgeGate(s, decision, choice, evaluation, standing);
  if (!judged.clear)
    throw new ProblemError('not-clear', { detail: `The plan changed after the clearance. Clear to cut again.`, current: judged.items.filter((i) => !i.ok) });
}

function demandSameNumbers(now: Readonly<Record<string, number>>, seen: Readonly<Record<string, number>>): void {
  const labels = new Set([...Object.keys(now), ...Object.keys(seen)]);
  const differ = [...labels].some((l) => !(Math.abs((now[l] ?? NaN) - (seen[l] ?? NaN)) <= 0.001));
  if (differ) throw new ProblemError('numbers-differ', { current: now, yours: seen });
}

const cannotBe = (pointer: string, detail: string): ProblemError => new ProblemError('cannot-be', { errors: [{ pointer, detail }] });

/** A card that asks for a reading gets one; a depth beyond what was planned is not 'done'; what went wrong comes with its number. */
function demandReading(s: JobState, choice: Choice | null, body: LogStep, { asks }: StepCard): void {
  const { measured, wrong } = body;
  if (body.outcome === 'wentWrong' && !wrong) throw cannotBe('/wrong', 'choose the kind of mishap');
  if (wrong?.mishap === 'tooDeep' && !measured) throw cannotBe('/measured', 'type the depth');
  if (wrong && choice && asksFlaw(wrong.mishap)) demandFlaw(s, choice, wrong);
  if (!asks) {
    if (measured) throw cannotBe('/measured', 'this step takes no reading');
    return;
  }
  if (body.outcome === 'done' && !measured) throw cannotBe('/measured', asks.what === 'depth' ? 'this step takes a depth' : 'this step takes the gap');
  if (!measured || asks.what === 'gap') return;
  const planned = choice?.route?.levels.find((p) => p.id === asks.target.part)?.depth ?? asks.expected;
  const most = planned + asks.limit + measured.limit;
  if (body.outcome === 'done' && measured.value > most)
    throw cannotBe('/measured/value', `is deeper than the ${withUnit(fixed(planned, 1), 'mm')} planned. If it is true, log a mishap`);
  const floor = s.state.anatomy.body.thickness?.value;
  if (floor !== undefined && measured.value >= floor)
    throw cannotBe('/measured/value', `is more than the body thickness of ${withUnit(fixed(floor, 1), 'mm')}`);
}

/** How far it went, and of a cut that leaves a level which one and which way. */
function demandFlaw(s: JobState, choice: Choice, wrong: Wrong): void {
  if (!wrong.flaw) throw cannotBe('/wrong/flaw', 'type the distance');
  if (wrong.mishap !== 'slipped' && wrong.mishap !== 'tornOut') return;
  const cut = levelsCut(s.state, choice);
  if (cut.length > 0 && (wrong.flaw.side === null || !cut.some(({ level }) => level.id === wrong.flaw?.level)))
    throw cannotBe('/wrong/flaw', 'choose the level and the direction');
}

function anatomyAfter(
  s: JobState,
  choice: Choice | null,
  body: LogStep,
  operation: Operation,
  entry: string,
  level: string | null,
  last: boolean,
): Anatomy | null {
  const slip = slipOf(s, body, operation);
  const before = slip && choice ? asSlipped({ decision: operation.decision, choice, gone: slip, entry }, s.state) : s.state.anatomy;
  const tooDeep = body.wrong?.mishap === 'tooDeep';
  if (!last && !tooDeep) return before === s.state.anatomy ? null : before;
  const earlier = s.ledger
    .filter((l) => l.operation === operation.id && l.measured?.level != null)
    .map((l): DepthRead => ({ level: l.measured?.level ?? '', value: l.measured?.value ?? 0, limit: l.measured?.limit ?? 0, entry: l.id }));
  const mine: DepthRead[] = body.measured && level !== null ? [{ level, value: body.measured.value, limit: body.measured.limit, entry }] : [];
  const newestFirst = [...mine, ...earlier.reverse()];
  const after = asLeft({ decision: operation.decision, does: operation.does, entry, depths: newestFirst }, before);
  return after === s.state.anatomy ? null : after;
}

/** Where a slip took wood away, and how deep the work had gone by then: to what is set on the card, or was read last. */
function slipOf(s: JobState, body: LogStep, operation: Operation): Beyond | null {
  const { wrong } = body;
  const { level = null, side = null, by = 0 } = wrong?.flaw ?? {};
  const takesWood = wrong?.mishap === 'slipped' || wrong?.mishap === 'tornOut';
  if (!takesWood || level === null || side === null) return null;
  const bench = benchNow(benchInput(s));
  const depth = bench.operation?.id === operation.id ? depthReached(bench.cards, bench.now) : 0;
  return depth > 0 ? { level, side, by, depth } : null;
}
