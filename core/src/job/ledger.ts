import type { LoggedStep } from '../gate/index.js';
import type { Revisions } from '../instrument/index.js';
import type { OperationKind } from '../operation/index.js';
import type { Target, Unit } from '../quantity/index.js';
import type { Wrong } from './mishap.js';

/** What was read while a step was done: of what, in its unit. */
export interface Measured {
  readonly target: Target;
  readonly unit: Unit;
  readonly value: number;
  readonly limit: number;
  readonly raw: string;
  readonly tool: string;
}

/** The level whose depth was read; null: it was no depth. */
export function levelRead({ target }: Pick<Measured, 'target'>): string | null {
  return target.quantity === 'levelDepth' ? (target.part ?? null) : null;
}

/** A step as it was done; only ever added. */
export interface LedgerEntry {
  readonly id: string;
  readonly instrument: string;
  readonly job: string;
  readonly operation: string;
  readonly kind: OperationKind;
  readonly step: string;
  readonly outcome: 'done' | 'wentWrong';
  readonly note: string;
  readonly minutes: number | null;
  readonly wrong: Wrong | null;
  readonly measured: Measured | null;
  /** The numbers of the card as it was shown, by label, mm. */
  readonly numbers: Readonly<Record<string, number>>;
  /** Revisions before and after, when the entry changed the instrument. */
  readonly before: Revisions;
  readonly after: Revisions;
  readonly person: string;
  readonly at: string;
}

/** A ledger entry as far as the bench is concerned. */
export const logged = (l: LedgerEntry): LoggedStep => ({
  operation: l.operation,
  step: l.step,
  outcome: l.outcome,
  measured: l.measured?.value ?? null,
  at: l.at,
});
