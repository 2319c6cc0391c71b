import { choiceOf, type Choice, type Plan } from '../check/index.js';
import type { Revisions } from '../instrument/index.js';
import type { Lack } from '../part/index.js';
import type { Option, WayBack } from '../remedy/index.js';
import type { UndoStep } from './undo-step.js';

/** A number that was on the screen when a command was given. */
export interface SeenNumber {
  readonly id: string;
  /** null: not measured. */
  readonly clearance: number | null;
}

/** A verdict as it stood. */
export interface KeptNumber extends SeenNumber {
  readonly class: string;
}

/** The options as they stood when one was chosen. */
export interface DecisionOption {
  readonly id: string;
  readonly kind: Option['proposal']['kind'];
  readonly part: string | null;
  readonly total: number;
  readonly minutes: number;
  /** Working time aside, minutes. */
  readonly wait?: number;
  /** What was missing in the shop. */
  readonly missing?: readonly Lack[];
  readonly price: number;
  readonly excluded: Option['excluded'];
  readonly numbers: readonly KeptNumber[];
  /** The way back as it stood. */
  readonly back?: Omit<WayBack, 'verdicts'>;
  /** Of the one that was chosen: what the whole plan came to with it. */
  readonly whole?: readonly KeptNumber[];
  /** Of a way back: what stays for good. */
  readonly stays?: readonly UndoStep[];
}

/** What was chosen for a place of the plan, by whom and why. */
export interface Decision {
  readonly id: string;
  readonly job: string;
  readonly option: string;
  readonly reason: string;
  readonly person: string;
  readonly at: string;
  readonly planVersion: number;
  readonly revisions: Revisions;
  /** Its place in the plan, and what was chosen for it. */
  readonly choice: string;
  readonly chosen: Choice;
  readonly options: readonly DecisionOption[];
  readonly undoneAt: string | null;
}

/** What a decision is about, as the plan has it now; as it was chosen where the plan has it no more. */
export function choiceNow(decision: Pick<Decision, 'choice' | 'chosen'>, plan: Plan | null): Choice {
  return (plan && choiceOf(plan, decision.choice)) ?? decision.chosen;
}

/** What was chosen by each of some decisions, as the plan has it now. */
export function choicesOf(decisions: readonly Decision[], plan: Plan | null): Readonly<Record<string, Choice>> {
  return Object.fromEntries(decisions.map((d) => [d.id, choiceNow(d, plan)]));
}
