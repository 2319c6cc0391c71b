import type { PlanRecord } from '@rinnovo/core/job';
import type { Plan } from '@rinnovo/core/check';
import type { Revisions } from '@rinnovo/core/instrument';
import type { Knex } from 'knex';

interface Row {
  job: string;
  document: Plan;
  revisions: Revisions;
  version: number;
}

export function toPlanRecord(r: Row): PlanRecord {
  return { job: r.job, version: r.version, revisions: r.revisions, plan: r.document };
}

export async function planOf(db: Knex, job: string): Promise<PlanRecord | null> {
  const row = (await db('plans').where({ job }).first()) as Row | undefined;
  return row ? toPlanRecord(row) : null;
}

/** Keeps a plan as its next version, or the first. */
export async function keepPlan(trx: Knex.Transaction, { writeId, ...record }: PlanRecord & { readonly writeId: string }): Promise<PlanRecord> {
  const { job, plan, revisions, version } = record;
  const row = { document: JSON.stringify(plan), revisions, version, write_id: writeId };
  if (version === 1) await trx('plans').insert({ job, ...row });
  else await trx('plans').where({ job }).update(row);
  return record;
}
