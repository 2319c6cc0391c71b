import type { Revisions } from '../instrument/index.js';
import type { LedgerEntry, StepOutcome, StepToLog } from '../job/index.js';
import { quantityOf } from '../quantity/index.js';
import type { TypedReading } from '../part/index.js';

/** All that is said of a step when it is logged. */
export interface StepWhole extends StepToLog {
  readonly measured: (TypedReading & { readonly raw: string }) | null;
  readonly note: string;
  readonly minutes: number | null;
  /** When it was done by the clock of where it was done, ISO 8601. */
  readonly done?: string;
}

/** Where and by whom a step is kept, and the revisions of the instrument round it. */
export interface KeptAs {
  readonly id: string;
  readonly instrument: string;
  readonly job: string;
  readonly person: string;
  readonly at: string;
  readonly before: Revisions;
  readonly after: Revisions;
}

/** The entry that a judged step makes in the ledger. */
export function entryAfter({ operation, target, numbers }: StepOutcome, said: StepWhole, as: KeptAs): LedgerEntry {
  const { step, outcome, note, minutes, wrong, measured: read, done = null, unjudged } = said;
  const measured = read && target ? { target, unit: quantityOf(target).unit, ...read } : null;
  return {
    ...as,
    operation: operation.id,
    kind: operation.kind,
    step,
    outcome,
    note,
    minutes,
    wrong,
    measured,
    numbers,
    done,
    unjudged: unjudged === undefined ? null : { why: unjudged, looked: null },
    takenBack: null,
  };
}
