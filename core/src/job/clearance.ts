import { choiceOf, sameChoice, type Choice, type Plan } from '../check/index.js';
import type { Widths } from '../gate/index.js';
import type { Revisions } from '../instrument/index.js';
import type { Decision, KeptNumber } from './decision.js';
import type { LedgerEntry } from './ledger.js';

/** A thin clearance that a person took upon themselves. */
export interface AcceptedThin {
  readonly verdict: string;
  readonly reason: string;
}

/** What somebody took upon themselves, and what was read on the print. */
export interface Said {
  readonly accepted: readonly AcceptedThin[];
  readonly print: Widths | null;
}

/** Clear to cut, as it was given. */
export interface Clearance {
  readonly id: string;
  readonly job: string;
  readonly decision: string;
  readonly planVersion: number;
  /** It holds for this choice as it stood and no other; null: of a plan that is no more. */
  readonly chosen: Choice | null;
  readonly revisions: Revisions;
  readonly accepted: readonly AcceptedThin[];
  /** What was read on the 1:1 print; null where nothing is routed. */
  readonly print: Widths | null;
  readonly numbers: readonly KeptNumber[];
  readonly person: string;
  readonly at: string;
}

/** The newest clearance of a decision, unless its choice was changed or something went wrong after it. */
export function standingClearance(
  decision: Pick<Decision, 'id' | 'choice'>,
  { clearances, ledger, plan }: { readonly clearances: readonly Clearance[]; readonly ledger: readonly LedgerEntry[]; readonly plan: Plan | null },
): Clearance | null {
  const newest = clearances.findLast((c) => c.decision === decision.id);
  const choice = plan && choiceOf(plan, decision.choice);
  if (!newest?.chosen || !choice || !sameChoice(newest.chosen, choice)) return null;
  return ledger.some((l) => l.outcome === 'wentWrong' && l.at > newest.at) ? null : newest;
}
