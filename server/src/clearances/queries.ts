import type { Clearance } from '@rinnovo/core/job';
import type { Knex } from 'knex';

type Row = Omit<Clearance, 'at' | 'planVersion'> & { at: Date; plan_version: number };

const COLUMNS = ['id', 'job', 'decision', 'plan_version', 'chosen', 'revisions', 'accepted', 'print', 'numbers', 'person', 'at'] as const;

/** The clearances of some decisions, oldest first. */
export async function clearancesOf(db: Knex, decisions: readonly string[]): Promise<readonly Clearance[]> {
  const rows = (await db('clearances')
    .whereIn('decision', [...decisions])
    .orderBy('at')
    .select(...COLUMNS)) as Row[];
  return rows.map(({ plan_version, at, ...r }) => ({ ...r, planVersion: plan_version, at: at.toISOString() }));
}
