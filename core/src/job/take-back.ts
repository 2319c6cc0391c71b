import { changedAspects, type Revisions } from '../instrument/index.js';
import { constant } from '../measure/index.js';
import type { OperationRows, OperationState } from '../operation/index.js';
import type { LedgerEntry } from './ledger.js';

/** How long a step that was logged by a slip of the finger is taken back without a reason, s. */
export const UNDO_FOR = constant(60, 'memory', 'Undo after Done');

/** What the way to the server may take on top of that, s. */
const ON_THE_WAY = constant(30, 'memory', 'Undo after Done');

/** Why a step stays logged. */
export type NotTakenBack =
  /** Nobody logged it, it is taken back already, it went wrong (that is kept), it is part of a cut, something was logged after it, its work was dropped, the drawing went on, or no reason is given. */
  'unknown' | 'takenBack' | 'wentWrong' | 'cut' | 'laterStep' | 'dropped' | 'drawingMoved' | 'reasonMissing';

/** What taking a step back comes to. */
export interface TakenBackStep {
  readonly entry: LedgerEntry;
  /** How far its operation is then. */
  readonly state: OperationState;
  /** The revision of the anatomy that comes back; null where the step changed nothing. */
  readonly revision: number | null;
}

/** What is said when a step is taken back, when, how far its operation is, and how far the instrument is known then. */
export interface TakingBack {
  readonly entry: string;
  readonly reason: string;
  readonly at: Date;
  readonly operation: OperationState;
  readonly revisions: Revisions;
}

/** Is what was logged part of a cut: it took something away, left the instrument cut, or nobody could judge it? A reading between two passes is none. */
export function isOfCut(rows: OperationRows, { kind, step, before, after, unjudged }: LedgerEntry): boolean {
  const row = rows.operations[kind];
  const name = step.replace(/^\d+ /, '');
  const cautions = rows.steps[name];
  if (!row || !cautions || unjudged !== null) return true;
  const left = row.undo === 'no' && changedAspects(before, after).length > 0;
  return left || cautions.includes('irreversible') || (row.takesFrom !== undefined && row.takes === name);
}

/** Why a step stays logged whatever is said; null where it may be taken back. `ledger`: all of its instrument, oldest first. */
export function whyItStays(
  rows: OperationRows,
  ledger: readonly LedgerEntry[],
  id: string,
): Extract<NotTakenBack, 'unknown' | 'takenBack' | 'wentWrong' | 'cut' | 'laterStep'> | null {
  const entry = ledger.find((l) => l.id === id);
  if (!entry) return 'unknown';
  if (entry.takenBack) return 'takenBack';
  if (entry.outcome === 'wentWrong') return 'wentWrong';
  if (isOfCut(rows, entry)) return 'cut';
  return ledger.findLast((l) => l.takenBack === null)?.id === id ? null : 'laterStep';
}

/**
 * Takes the newest step of an instrument back, or says why it stays: a cut stays, what others were built on stays, and after a minute it needs a reason.
 * Its entry is kept; what it moved and drew is moved and drawn the other way.
 */
export function takeBack(
  rows: OperationRows,
  ledger: readonly LedgerEntry[],
  { entry: id, reason, at, operation, revisions }: TakingBack,
): TakenBackStep | NotTakenBack {
  const stays = whyItStays(rows, ledger, id);
  const entry = ledger.find((l) => l.id === id);
  if (stays !== null || !entry) return stays ?? 'unknown';
  if (operation === 'dropped') return 'dropped';
  if (reason.trim() === '' && at.getTime() - Date.parse(entry.at) > (UNDO_FOR.value + ON_THE_WAY.value) * 1000) return 'reasonMissing';
  const drew = entry.before.anatomy !== entry.after.anatomy;
  if (drew && revisions.anatomy !== entry.after.anatomy) return 'drawingMoved';
  const others = ledger.some((l) => l.operation === entry.operation && l.id !== id && l.takenBack === null);
  return { entry, state: others ? 'doing' : 'proposed', revision: drew ? entry.before.anatomy : null };
}
