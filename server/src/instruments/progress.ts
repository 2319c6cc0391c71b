import type { JobProgress } from '@rinnovo/contract';
import { isIrreversible, LISTS } from '@rinnovo/core/house/lists';
import type { OperationKind } from '@rinnovo/core/operation';
import type { Knex } from 'knex';

interface Row extends JobProgress {
  readonly id: string;
}

/** The kinds of work that cannot be undone: an owner is asked before. */
const CUTS = (Object.keys(LISTS.operations) as OperationKind[]).filter((kind) => isIrreversible(kind));

const COUNTED = `
WITH live AS (
  SELECT d.id, d.job, w.role = 'owner' AS clients, d.chosen->>'part' AS part, coalesce(d.chosen->>'returns', 'false') = 'true' AS returns,
    EXISTS (SELECT 1 FROM operations o WHERE o.decision = d.id AND o.state NOT IN ('done', 'dropped')) AS open,
    EXISTS (SELECT 1 FROM operations o WHERE o.decision = d.id AND o.state NOT IN ('done', 'dropped') AND o.kind = ANY(:cuts)) AS cuts
  FROM decisions d JOIN jobs j ON j.id = d.job JOIN instruments i ON i.id = j.instrument LEFT JOIN people w ON w.id = i.owner
  WHERE d.job = ANY(:jobs) AND d.undone_at IS NULL
), kept AS (
  SELECT m.decision FROM movements m WHERE m.decision IN (SELECT id FROM live) AND m.why IN ('reserved', 'fitted')
  GROUP BY m.decision HAVING coalesce(sum(m.amount) FILTER (WHERE m.why = 'reserved'), 0) > 0 OR bool_or(m.why = 'fitted')
), free AS (
  SELECT s.document->>'part' AS part FROM stock s JOIN movements m ON m.item = s.id
  WHERE NOT s.archived AND s.document->>'part' IN (SELECT part FROM live WHERE open)
  GROUP BY 1 HAVING sum(CASE WHEN m.why = 'reserved' THEN -m.amount ELSE m.amount END) > 0
), agreed AS (
  SELECT c.decision FROM consents c WHERE c.decision IN (SELECT id FROM live) AND NOT EXISTS (SELECT 1 FROM consent_withdrawals x WHERE x.consent = c.id)
), waits AS (
  SELECT job, count(*)::int AS decided,
    count(*) FILTER (WHERE open AND part IS NOT NULL AND NOT returns
      AND id NOT IN (SELECT decision FROM kept) AND part NOT IN (SELECT part FROM free))::int AS parts,
    count(*) FILTER (WHERE clients AND cuts AND id NOT IN (SELECT decision FROM agreed))::int AS consents
  FROM live GROUP BY job
)
SELECT j.id,
  coalesce((SELECT jsonb_array_length(p.document->'choices') FROM plans p WHERE p.job = j.id), 0)::int AS places,
  coalesce(w.decided, 0) AS decided,
  (SELECT count(*) FROM operations o WHERE o.job = j.id AND o.state NOT IN ('done', 'dropped'))::int AS open,
  (SELECT count(*) FROM operations o WHERE o.job = j.id AND o.state = 'done')::int AS done,
  coalesce(w.parts, 0) AS parts, coalesce(w.consents, 0) AS consents
FROM jobs j LEFT JOIN waits w ON w.job = j.id WHERE j.id = ANY(:jobs)`;

/**
 * How far jobs are: places of the plan, those that are decided, operations still to do and done. A decision waits for its part while that is
 * neither kept for it, nor fitted, nor free in a drawer; and for its owner's consent while it cuts a client's instrument. By the job's id.
 */
export async function progressOf(db: Knex, jobs: readonly string[]): Promise<ReadonlyMap<string, JobProgress>> {
  if (jobs.length === 0) return new Map();
  const { rows } = (await db.raw(COUNTED, { jobs: [...jobs], cuts: CUTS })) as { rows: readonly Row[] };
  return new Map(rows.map(({ id, ...progress }) => [id, progress]));
}
