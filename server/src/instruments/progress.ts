import type { JobProgress } from '@rinnovo/contract';
import type { Knex } from 'knex';

interface Row extends JobProgress {
  readonly id: string;
}

/** How far jobs are: places of the plan, those that are decided, operations still to do and done. By the job's id. */
export async function progressOf(db: Knex, jobs: readonly string[]): Promise<ReadonlyMap<string, JobProgress>> {
  if (jobs.length === 0) return new Map();
  const { rows } = (await db.raw(
    `SELECT j.id,
       coalesce((SELECT jsonb_array_length(p.document->'choices') FROM plans p WHERE p.job = j.id), 0)::int AS places,
       (SELECT count(*) FROM decisions d WHERE d.job = j.id AND d.undone_at IS NULL)::int AS decided,
       (SELECT count(*) FROM operations o WHERE o.job = j.id AND o.state NOT IN ('done', 'dropped'))::int AS open,
       (SELECT count(*) FROM operations o WHERE o.job = j.id AND o.state = 'done')::int AS done
     FROM jobs j WHERE j.id = ANY(?)`,
    [[...jobs]],
  )) as { rows: readonly Row[] };
  return new Map(rows.map(({ id, ...progress }) => [id, progress]));
}
