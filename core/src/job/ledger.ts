import type { LoggedStep } from '../gate/index.js';
import type { Revisions } from '../instrument/index.js';
import type { OperationKind } from '../operation/index.js';
import type { AnyTarget, Unit } from '../quantity/index.js';
import type { Wrong } from './mishap.js';

/** What was read while a step was done: of what, in its unit. */
export interface Measured {
  readonly target: AnyTarget;
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

/** A step that was done while nobody could judge it: why, and what somebody found who looked at it since. */
export interface Unjudged {
  readonly why: string;
  readonly looked: { readonly person: string; readonly at: string; readonly found: string } | null;
}

/** That a step was not done after all: who said so, when, why, and the revision that undid what it drew. A slip that was undone at once needs no reason. */
export interface TakenBack {
  readonly id: string;
  readonly person: string;
  readonly at: string;
  readonly reason: string;
  readonly after: Revisions;
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
  /** When it was done by the clock of where it was done; null where that was not said. */
  readonly done: string | null;
  /** When it was kept. */
  readonly at: string;
  /** Null: it was judged before it was kept. */
  readonly unjudged: Unjudged | null;
  /** Null: it stands. */
  readonly takenBack: TakenBack | null;
}

/** The steps that stand: what was taken back was not done. */
export const standing = (entries: readonly LedgerEntry[]): readonly LedgerEntry[] => entries.filter((l) => l.takenBack === null);

/** The steps that were done without being judged and that nobody has looked at. */
export const unlookedOf = (entries: readonly Pick<LedgerEntry, 'id' | 'unjudged'>[]): readonly string[] =>
  entries.flatMap((l) => (l.unjudged?.looked === null ? [l.id] : []));

/** A ledger entry as far as the bench is concerned. */
export const logged = (l: LedgerEntry): LoggedStep => ({
  operation: l.operation,
  step: l.step,
  outcome: l.outcome,
  measured: l.measured?.value ?? null,
  at: l.at,
});
