import type { ClearanceRecord, LedgerEntry } from '@rinnovo/contract';
import type { Knex } from 'knex';

type Row = Omit<ClearanceRecord, 'at' | 'planVersion'> & { at: Date; plan_version: number };

const COLUMNS = ['id', 'job', 'decision', 'plan_version', 'revision', 'accepted', 'numbers', 'person', 'at'] as const;

/** The clearances of a decision, oldest first. */
export async function clearancesOf(db: Knex, decision: string): Promise<readonly ClearanceRecord[]> {
  const rows = (await db('clearances')
    .where({ decision })
    .orderBy('at')
    .select(...COLUMNS)) as Row[];
  return rows.map(({ plan_version, at, ...r }) => ({ ...r, planVersion: plan_version, at: at.toISOString() }));
}

/** The newest clearance, unless the plan was changed or something went wrong after it. */
export function standingClearance(clearances: readonly ClearanceRecord[], ledger: readonly LedgerEntry[], planVersion: number): ClearanceRecord | null {
  const newest = clearances[clearances.length - 1];
  if (newest?.planVersion !== planVersion) return null;
  return ledger.some((l) => l.outcome === 'wentWrong' && l.at > newest.at) ? null : newest;
}
