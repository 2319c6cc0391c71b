import type { WaiverRecord } from '@rinnovo/contract';
import type { Operation } from '@rinnovo/core/operation';
import type { Knex } from 'knex';

/** The operations of some decisions. */
export async function operationsOf(db: Knex, decisions: readonly string[]): Promise<readonly Operation[]> {
  return (await db('operations')
    .whereIn('decision', [...decisions])
    .orderBy(['kind', 'id'])
    .select('id', 'job', 'decision', 'kind', 'feature', 'state', 'rank')) as Operation[];
}

export async function waiversOf(db: Knex, job: string): Promise<readonly WaiverRecord[]> {
  const rows = (await db('waivers').where({ job }).orderBy('at').select('id', 'job', 'rule', 'operations', 'reason', 'person', 'at')) as (Omit<
    WaiverRecord,
    'at'
  > & { at: Date })[];
  return rows.map((r) => ({ ...r, at: r.at.toISOString() }));
}
