import type { LogStep } from '@rinnovo/contract';
import { evaluatePlan, ofChoice, type Choice } from '@rinnovo/core/check';
import { benchNow, type StepCard } from '@rinnovo/core/gate';
import type { Anatomy } from '@rinnovo/core/instrument';
import { valueOf } from '@rinnovo/core/measure';
import { OPERATIONS, type Operation } from '@rinnovo/core/operation';
import { asLeft, type DepthRead } from '@rinnovo/core/record';
import { ProblemError } from '../http/problems.js';
import { benchInput, choicesOf, type JobState } from '../jobs/job-state.js';
import { judgeGate } from '../clearances/gate.js';
import { standingClearance } from '../clearances/queries.js';

/** What logging a step comes to, before anything is written. */
export interface StepOutcome {
  readonly operation: Operation;
  readonly state: 'doing' | 'done' | 'failed';
  /** Label and mm, as the server works them out. */
  readonly numbers: Readonly<Record<string, number>>;
  /** The pocket whose depth was read. */
  readonly pocket: string | null;
  /** The instrument afterwards; null when nothing about it changed. */
  readonly anatomy: Anatomy | null;
}

/** Recomputes the bench and judges a step that is to be logged. Throws the problem that stands against it. */
export function judgeStep(s: JobState, body: LogStep, entry: string): StepOutcome {
  const bench = benchNow(benchInput(s));
  const { operation, cards, now } = bench;
  const card = cards[now];
  if (operation?.id !== body.operation || card?.key !== body.step) {
    throw new ProblemError('not-now', {
      detail: 'That is not the step to do now.',
      current: { operation: operation?.id ?? null, step: card?.key ?? null },
      yours: { operation: body.operation, step: body.step },
    });
  }
  if (bench.hindrances.length > 0) throw new ProblemError('not-now', { detail: 'Something must come first.', current: bench.hindrances });
  if (OPERATIONS[operation.kind].irreversible) demandStillClear(s, operation);
  const numbers = Object.fromEntries(card.numbers.map((n) => [n.label, valueOf(n.working)]));
  demandSameNumbers(numbers, body.seen);
  const choice = choicesOf(s)[operation.decision];
  if (!choice) throw new ProblemError('not-now', { detail: 'That operation has no choice behind it.' });
  demandReading(s, choice, body, card);
  const pocket = card.asks && body.measured ? (card.asks.target.part ?? null) : null;
  const last = now === cards.length - 1 && completes(body);
  const state = last ? 'done' : body.outcome === 'wentWrong' && body.mishap !== 'tooDeep' ? 'failed' : 'doing';
  return { operation, state: state === 'failed' ? 'doing' : state, numbers, pocket, anatomy: anatomyAfter(s, choice, body, operation, entry, pocket, last) };
}

function completes(body: LogStep): boolean {
  return body.outcome === 'done' || body.measured !== null;
}

/** Until the first cut is made, the clearance must still hold for the numbers as they are now. */
function demandStillClear(s: JobState, operation: Operation): void {
  const decision = s.decisions.find((d) => d.id === operation.decision);
  const standing = decision && standingClearance(s.clearances, s.ledger, decision, s.record.plan);
  if (!standing) throw new ProblemError('not-clear', { detail: 'There is no clearance for this cut.' });
  const cut = s.operations.some((o) => o.decision === operation.decision && OPERATIONS[o.kind].irreversible && (o.state === 'doing' || o.state === 'done'));
  if (cut) return;
  const evaluation = ofChoice(evaluatePlan(s.state, s.record.plan), decision.choice);
  const choice = choicesOf(s)[decision.id];
  if (!choice) return;
  const judged = judgeGate(s, decision, choice, evaluation, standing.accepted);
  if (!judged.clear)
    throw new ProblemError('not-clear', { detail: `Something changed since ${operation.kind} was cleared.`, current: judged.items.filter((i) => !i.ok) });
}

function demandSameNumbers(now: Readonly<Record<string, number>>, seen: Readonly<Record<string, number>>): void {
  const labels = new Set([...Object.keys(now), ...Object.keys(seen)]);
  const differ = [...labels].some((l) => !(Math.abs((now[l] ?? NaN) - (seen[l] ?? NaN)) <= 0.001));
  if (differ) throw new ProblemError('numbers-differ', { current: now, yours: seen });
}

/** A card that asks a depth gets one; a depth beyond what was planned is not 'done'. */
function demandReading(s: JobState, choice: Choice, body: LogStep, card: StepCard): void {
  if (!card.asks) {
    if (body.measured) throw new ProblemError('cannot-be', { errors: [{ pointer: '/measured', detail: 'this step asks for no depth' }] });
    return;
  }
  if (body.outcome === 'done' && !body.measured)
    throw new ProblemError('cannot-be', { errors: [{ pointer: '/measured', detail: 'this step asks for a depth' }] });
  if (body.mishap === 'tooDeep' && !body.measured) throw new ProblemError('cannot-be', { errors: [{ pointer: '/measured', detail: 'say how deep it is' }] });
  const route = choice.kind === 'pickup' ? choice.route : null;
  const planned = route?.pockets.find((p) => p.id === card.asks?.target.part)?.depth ?? card.asks.expected;
  const most = planned + card.asks.limit + (body.measured?.limit ?? 0);
  if (body.measured && body.outcome === 'done' && body.measured.value > most) {
    throw new ProblemError('cannot-be', {
      errors: [{ pointer: '/measured/value', detail: `is deeper than the ${planned.toFixed(1)} mm planned: if it is true, log it as went wrong` }],
    });
  }
  const floor = s.state.anatomy.body.thickness?.value;
  if (body.measured && floor !== undefined && body.measured.value >= floor) {
    throw new ProblemError('cannot-be', { errors: [{ pointer: '/measured/value', detail: `is more than the body's ${floor.toFixed(1)} mm` }] });
  }
}

function anatomyAfter(s: JobState, choice: Choice, body: LogStep, operation: Operation, entry: string, pocket: string | null, last: boolean): Anatomy | null {
  const tooDeep = body.outcome === 'wentWrong' && body.mishap === 'tooDeep';
  if (!last && !tooDeep) return null;
  const earlier = s.ledger
    .filter((l) => l.operation === operation.id && l.measured)
    .map((l): DepthRead => ({ pocket: l.measured?.pocket ?? '', value: l.measured?.value ?? 0, limit: l.measured?.limit ?? 0, entry: l.id }));
  const mine: DepthRead[] = body.measured && pocket !== null ? [{ pocket, value: body.measured.value, limit: body.measured.limit, entry }] : [];
  const newestFirst = [...mine, ...earlier.reverse()];
  const after = asLeft({ kind: operation.kind, decision: operation.decision, choice, entry, depths: newestFirst }, s.state.anatomy, s.state);
  return after === s.state.anatomy ? null : after;
}
