import type { JobProgress } from '@rinnovo/contract';
import { isIrreversible, LISTS } from '@rinnovo/core/house/lists';
import type { OperationKind } from '@rinnovo/core/operation';
import type { Knex } from 'knex';

interface Row extends JobProgress {
  readonly id: string;
}

/** The kinds of work that cannot be undone: an owner is asked before. */
const CUTS = (Object.keys(LISTS.operations) as OperationKind[]).filter((kind) => isIrreversible(kind));

/** There is work of a decision still to do. */
const OPEN = `SELECT 1 FROM operations o WHERE o.decision = d.id AND o.state NOT IN ('done', 'dropped')`;

/** A decision whose part is neither kept for it, nor fitted, nor free in a drawer. */
const PART_MISSING = `d.chosen->>'part' IS NOT NULL AND coalesce(d.chosen->>'returns', 'false') <> 'true' AND EXISTS (${OPEN})
  AND coalesce((SELECT sum(abs(m.amount)) FILTER (WHERE m.why = 'fitted') + greatest(0, sum(m.amount) FILTER (WHERE m.why = 'reserved'))
    FROM movements m WHERE m.decision = d.id), 0) <= 0
  AND coalesce((SELECT sum(CASE WHEN m.why = 'reserved' THEN -m.amount ELSE m.amount END)
    FROM stock s JOIN movements m ON m.item = s.id WHERE s.document->>'part' = d.chosen->>'part' AND NOT s.archived), 0) <= 0`;

/** A decision that cuts a client's instrument, and to which the client has not agreed, or not any more. */
const UNAGREED = `w.role = 'owner' AND EXISTS (${OPEN} AND o.kind = ANY(:cuts))
  AND NOT EXISTS (SELECT 1 FROM consents c WHERE c.decision = d.id AND NOT EXISTS (SELECT 1 FROM consent_withdrawals x WHERE x.consent = c.id))`;

/** How far jobs are: places of the plan, those that are decided, operations still to do and done, and what they wait for. By the job's id. */
export async function progressOf(db: Knex, jobs: readonly string[]): Promise<ReadonlyMap<string, JobProgress>> {
  if (jobs.length === 0) return new Map();
  const { rows } = (await db.raw(
    `SELECT j.id,
       coalesce((SELECT jsonb_array_length(p.document->'choices') FROM plans p WHERE p.job = j.id), 0)::int AS places,
       (SELECT count(*) FROM decisions d WHERE d.job = j.id AND d.undone_at IS NULL)::int AS decided,
       (SELECT count(*) FROM operations o WHERE o.job = j.id AND o.state NOT IN ('done', 'dropped'))::int AS open,
       (SELECT count(*) FROM operations o WHERE o.job = j.id AND o.state = 'done')::int AS done,
       (SELECT count(*) FROM decisions d WHERE d.job = j.id AND d.undone_at IS NULL AND ${PART_MISSING})::int AS parts,
       (SELECT count(*) FROM decisions d WHERE d.job = j.id AND d.undone_at IS NULL AND ${UNAGREED})::int AS consents
     FROM jobs j JOIN instruments i ON i.id = j.instrument LEFT JOIN people w ON w.id = i.owner WHERE j.id = ANY(:jobs)`,
    { jobs: [...jobs], cuts: CUTS },
  )) as { rows: readonly Row[] };
  return new Map(rows.map(({ id, ...progress }) => [id, progress]));
}
