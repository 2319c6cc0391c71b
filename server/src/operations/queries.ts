import type { WaiverRecord } from '@rinnovo/core/job';
import { hasStarted, type Operation, type OwnWork } from '@rinnovo/core/operation';
import type { Knex } from 'knex';

const COLUMNS = ['id', 'job', 'decision', 'source', 'key', 'kind', 'subject', 'does', 'lapses', 'state', 'rank', 'own'] as const;

interface Row extends Omit<Operation, 'decision' | 'own'> {
  readonly decision: string | null;
  readonly own: OwnWork | null;
}

/** Work that was put in by hand is of no decision. */
const toOperation = ({ decision, own, ...row }: Row): Operation => ({ ...row, decision: decision ?? '', ...(own ? { own } : {}) });

/** The operations of some decisions, as they are stored. */
export async function operationsOf(db: Knex, decisions: readonly string[]): Promise<readonly Operation[]> {
  const rows = (await db('operations')
    .whereIn('decision', [...decisions])
    .orderBy(['kind', 'id'])
    .select(...COLUMNS)) as Row[];
  return rows.map(toOperation);
}

/** What a job has changed on the bench, whichever decision asked for it, and whether that is still in force. */
export async function changesOfBench(db: Knex, job: string): Promise<readonly Operation[]> {
  const rows = (await db('operations')
    .where({ job })
    .whereRaw(`source->>'of' = 'job'`)
    .whereIn('state', ['doing', 'done'])
    .orderBy(['kind', 'id'])
    .select(...COLUMNS)) as Row[];
  return rows.map(toOperation);
}

/** What was put into a job by hand and not taken out again. */
export async function workByHand(db: Knex, job: string): Promise<readonly Operation[]> {
  const rows = (await db('operations')
    .where({ job })
    .whereRaw(`source->>'of' = 'hand'`)
    .whereNot({ state: 'dropped' })
    .orderBy('id')
    .select(...COLUMNS)) as Row[];
  return rows.map(toOperation);
}

/** Writes operations down that were worked out: new ones with what they do, those that have not begun as they are made now; what another hand has begun meanwhile stays as it is. */
export async function keepOperations(trx: Knex.Transaction, operations: readonly Operation[], writeId: string): Promise<void> {
  const open = operations.filter((o) => !hasStarted(o));
  if (open.length === 0) return;
  const rows = open.map(({ id, job, decision, key, kind, state, rank, source, subject, does, lapses, own }) => ({
    id,
    job,
    decision: decision === '' ? null : decision,
    key,
    kind,
    state,
    rank,
    source: JSON.stringify(source),
    subject: JSON.stringify(subject),
    does: JSON.stringify(does),
    lapses: JSON.stringify(lapses),
    own: own ? JSON.stringify(own) : null,
    write_id: writeId,
  }));
  await trx('operations')
    .insert(rows)
    .onConflict('id')
    .merge(['does', 'lapses', 'subject', 'rank', 'write_id'])
    .whereIn('operations.state', ['proposed', 'ready']);
}

/** What of a decision is not done is not wanted any more; what is done stays done, also on the bench. */
export async function dropOperations(trx: Knex.Transaction, decision: string, writeId: string): Promise<void> {
  await trx('operations').where({ decision }).whereNot({ state: 'done' }).update({ state: 'dropped', write_id: writeId });
}

export async function waiversOf(db: Knex, job: string): Promise<readonly WaiverRecord[]> {
  const rows = (await db('waivers').where({ job }).orderBy('at').select('id', 'job', 'rule', 'operations', 'reason', 'person', 'at')) as (Omit<
    WaiverRecord,
    'at'
  > & { at: Date })[];
  return rows.map((r) => ({ ...r, at: r.at.toISOString() }));
}
