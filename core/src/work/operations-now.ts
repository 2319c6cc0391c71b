import { isThere, placed, type Choice, type PlanState } from '../check/index.js';
import { hasStarted, type Operation, type Placed, type Work } from '../operation/index.js';
import type { Move } from '../part/index.js';
import { idOf } from './id-of.js';
import { usualMinutes, type Wait, type WorkRows } from './plan-row.js';
import { plannedWork } from './planned.js';

/** A decision in force, as far as its work is concerned, and its choice as it is planned now. */
export interface Wanted {
  readonly decision: string;
  readonly job: string;
  readonly choice: Choice;
}

/** An operation with its working time as it is reckoned, min. */
export interface PlannedOperation extends Operation, Placed {
  readonly minutes: number;
  /** What it takes from the drawers or brings back. */
  readonly moves: readonly Move[];
  readonly waitAfter?: Wait;
}

/**
 * The operations of a job as they are now: what has begun stays as it was; the rest is made anew from the plan, and keeps the id and the place in the order
 * that it had under its key. What the plan has no use for any more is left out.
 */
export function operationsNow(rows: WorkRows, stored: readonly Operation[], wanted: readonly Wanted[], state: PlanState): readonly PlannedOperation[] {
  return wanted.flatMap((w) => {
    const mine = stored.filter((r) => r.decision === w.decision);
    const begun = mine.filter(hasStarted);
    const made = isThere(rows, state.anatomy, w.choice) ? plannedWork(rows, state, w.choice) : [];
    const kept = new Map(mine.map((r) => [r.key, r]));
    const where = (work: Parameters<typeof placed>[3]): Placed => placed(rows, w.choice, state, work);
    const fresh = made
      .filter((m) => !begun.some((b) => b.key === m.key))
      .map((m) => ({ ...asOperation(m, w, kept.get(m.key)), ...where(m), minutes: m.minutes, moves: m.moves ?? [], ...waits(m) }));
    const planned = begun.map((b): PlannedOperation => {
      const same = made.find((m) => m.key === b.key);
      const work = withWork(b, made);
      return { ...work, ...where(work), minutes: same?.minutes ?? usualMinutes(rows, b.kind, state), moves: same?.moves ?? [], ...waits(same) };
    });
    return [...planned, ...fresh];
  });
}

function asOperation({ key, kind, subject, does, lapses }: Omit<Work, keyof Placed>, { decision, job, choice }: Wanted, row: Operation | undefined): Operation {
  return {
    id: row?.id ?? idOf(decision, key),
    job,
    decision,
    source: { of: 'choice', id: choice.id },
    key,
    kind,
    subject,
    does,
    lapses,
    state: row?.state === 'ready' ? 'ready' : 'proposed',
    rank: row?.rank ?? null,
  };
}

/** Work that was begun before operations kept what they do is what its plan makes of it. */
function withWork(row: Operation, made: readonly Omit<Work, keyof Placed>[]): Operation {
  const same = row.does.length === 0 && row.state === 'doing' ? made.find((m) => m.key === row.key) : undefined;
  return same ? { ...row, does: same.does, lapses: same.lapses } : row;
}

const waits = (planned: { readonly waitAfter?: Wait } | undefined): { readonly waitAfter?: Wait } =>
  planned?.waitAfter ? { waitAfter: planned.waitAfter } : {};
