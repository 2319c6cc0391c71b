import type { OwnerChange } from '@rinnovo/contract';
import type { Ownership } from '@rinnovo/core/job';
import type { Knex } from 'knex';

interface Row {
  readonly was: string | null;
  readonly was_role: string | null;
  readonly now: string | null;
  readonly now_role: string | null;
  readonly person: string;
  readonly at: Date;
}

interface Changed {
  readonly instrument: string;
  readonly was: string | null;
  readonly now: string | null;
  /** The role of each as it is, where that is not what stands in the table. */
  readonly wasRole?: string;
  readonly person: string;
  readonly writeId: string;
}

/** Notes that an instrument has another owner, or that its owner has another role. */
export async function noteOwner(trx: Knex.Transaction, { instrument, was, now, wasRole, person, writeId }: Changed): Promise<void> {
  const roleOf = async (id: string | null): Promise<string | null> =>
    id === null ? null : (((await trx('people').where({ id }).first('role')) as { role: string } | undefined)?.role ?? null);
  await trx('owner_changes').insert({
    instrument,
    was,
    was_role: wasRole ?? (await roleOf(was)),
    now,
    now_role: await roleOf(now),
    person,
    write_id: writeId,
  });
}

/** Who owned a job's instrument since the job was begun, oldest first. */
export async function ownerChangesOf(db: Knex, job: string): Promise<readonly OwnerChange[]> {
  const rows = (await db('owner_changes as o')
    .join('jobs as j', 'j.instrument', 'o.instrument')
    .where('j.id', job)
    .whereRaw('o.at > j.begun')
    .orderBy('o.at')
    .limit(200)
    .select('o.was', 'o.was_role', 'o.now', 'o.now_role', 'o.person', 'o.at')) as Row[];
  return rows.map((r) => ({ was: r.was, wasClients: r.was_role === 'owner', now: r.now, person: r.person, at: r.at.toISOString() }));
}

/**
 * Whose a job's instrument is: a client's where somebody outside the workshop owns it, or did at any time since the job was begun. An owner is not changed out of the way
 * of his yes: whoever has it now is asked, or says how it became his.
 */
export async function ownershipOf(db: Knex, job: string): Promise<Ownership> {
  const changes = await ownerChangesOf(db, job);
  const row = (await db('jobs as j')
    .join('instruments as i', 'i.id', 'j.instrument')
    .join('people as p', 'p.id', 'i.owner')
    .where('j.id', job)
    .first('p.role')) as { role: string } | undefined;
  return { clients: row?.role === 'owner' || changes.some((c) => c.wasClients), changed: changes.at(-1)?.at ?? null };
}
