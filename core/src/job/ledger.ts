import type { LoggedStep } from '../gate/index.js';
import type { Revisions } from '../instrument/index.js';
import type { OperationKind } from '../operation/index.js';
import type { Wrong } from './mishap.js';

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
  /** What was read; of no level: the gap that was left when the part was tried. */
  readonly measured: { readonly level: string | null; readonly value: number; readonly limit: number; readonly raw: string; readonly tool: string } | null;
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
