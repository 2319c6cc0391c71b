import type { Choice, Evaluation, PlanState } from '../check/index.js';
import { beforeCut, confirmationsFor, partInHand, printWidths, type GateInput, type GateRows, type Tired, type Widths } from '../gate/index.js';
import { atHand } from '../work/index.js';
import type { Said } from './clearance.js';
import { ownersYes, type YesGiven } from './consent.js';
import { provingReadings, type JobInHand } from './in-hand.js';

/** What a decision is to be cleared for: its choice, the verdicts on it, its cutting plan, and the day on which edges are judged. */
export interface GateAsked {
  readonly decision: string;
  readonly choice: Choice;
  readonly evaluation: Evaluation;
  readonly state: PlanState;
  readonly cutting: Parameters<typeof atHand>[3];
  readonly today: Date;
  readonly tired: Tired | null;
}

/** All that the gate is stated before somebody says something. */
export interface GateGround extends Omit<GateInput, 'accepted' | 'print'> {
  /** The widths of the plan's 1:1 print; null where nothing is routed. */
  readonly drawn: Widths | null;
}

/** What the gate asks of a decision, from a job as it stands. */
export function gateGround(rows: GateRows, j: JobInHand, { decision, choice, evaluation, state, cutting, today, tired }: GateAsked): GateGround {
  return {
    evaluation,
    found: state.anatomy,
    readings: provingReadings(j),
    own: ownEntries(j, decision),
    consent: ownersYes({ decision, verdicts: evaluation.verdicts, now: costNow(j, decision, choice, state) }, j.consents, j.owner),
    asked: confirmationsFor(rows, choice, evaluation, state.anatomy),
    drawn: printWidths(choice, state.settings),
    before: beforeCut(rows, decision, j.operations, j.waivers),
    needs: [...partInHand(rows, decision, choice, state), ...atHand(rows, state, choice, cutting, today)],
    technicians: j.technicians,
    tired,
  };
}

/** What the price of a decision is made of now: its part, and its work as it is planned or was done. */
export function costNow(
  { operations }: Pick<JobInHand, 'operations'>,
  decision: string,
  choice: Choice,
  { parts, settings }: PlanState,
): Omit<YesGiven, 'numbers'> {
  const work = operations.filter((o) => o.decision === decision && o.source.of !== 'job' && o.state !== 'dropped');
  return {
    chosen: choice,
    part: parts[choice.part ?? '']?.price ?? 0,
    minutes: work.reduce((sum, o) => sum + o.minutes, 0),
    ratePerHour: settings.ratePerHour,
  };
}

/** The entries of what a decision's work left as planned. */
function ownEntries({ ledger, operations }: JobInHand, decision: string): ReadonlySet<string> {
  const mine = new Set(operations.flatMap((o) => (o.decision === decision ? [o.id] : [])));
  return new Set(ledger.flatMap((l) => (l.outcome === 'done' && mine.has(l.operation) ? [l.id] : [])));
}

/** The gate's whole input; a reason that is empty accepts nothing. */
export function gateInput({ drawn, ...ground }: GateGround, { accepted, print }: Said): GateInput {
  const meant = accepted.filter((a) => a.reason.trim() !== '');
  return { ...ground, accepted: new Set(meant.map((a) => a.verdict)), print: drawn && { drawn, read: print } };
}
