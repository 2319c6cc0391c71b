import type { ClearanceRecord, Decision, LedgerEntry } from '@rinnovo/contract';
import { choiceOf, sameChoice, type Plan } from '@rinnovo/core/check';
import type { Knex } from 'knex';

type Row = Omit<ClearanceRecord, 'at' | 'planVersion'> & { at: Date; plan_version: number };

const COLUMNS = ['id', 'job', 'decision', 'plan_version', 'chosen', 'revision', 'accepted', 'print', 'numbers', 'person', 'at'] as const;

/** The clearances of some decisions, oldest first. */
export async function clearancesOf(db: Knex, decisions: readonly string[]): Promise<readonly ClearanceRecord[]> {
  const rows = (await db('clearances')
    .whereIn('decision', [...decisions])
    .orderBy('at')
    .select(...COLUMNS)) as Row[];
  return rows.map(({ plan_version, at, ...r }) => ({ ...r, planVersion: plan_version, at: at.toISOString() }));
}

/** The newest clearance of a decision, unless its choice was changed or something went wrong after it. */
export function standingClearance(
  clearances: readonly ClearanceRecord[],
  ledger: readonly LedgerEntry[],
  decision: Decision,
  plan: Plan,
): ClearanceRecord | null {
  const newest = clearances.findLast((c) => c.decision === decision.id);
  const choice = choiceOf(plan, decision.choice);
  if (!newest?.chosen || !choice || !sameChoice(newest.chosen, choice)) return null;
  return ledger.some((l) => l.outcome === 'wentWrong' && l.at > newest.at) ? null : newest;
}
