import type { LedgerEntry } from '@rinnovo/core/job';
import { newKind, newLabels, upgradeMeasured, withNewNames } from '@rinnovo/core/upgrade';
import { knownAt } from '@rinnovo/core/instrument';
import type { Knex } from 'knex';

type Row = Omit<LedgerEntry, 'at' | 'before' | 'after'> & { revision_before: number; revision_after: number; at: Date };

const COLUMNS = [
  'id',
  'instrument',
  'job',
  'operation',
  'kind',
  'step',
  'outcome',
  'note',
  'minutes',
  'measured',
  'wrong',
  'numbers',
  'revision_before',
  'revision_after',
  'person',
  'at',
] as const;

/** Entries keep the bytes that they were written with: older ones are read under today's names. */
function toEntry({ revision_before, revision_after, at, ...r }: Row): LedgerEntry {
  const { measured: read, wrong } = withNewNames({ measured: r.measured, wrong: r.wrong }) as Pick<LedgerEntry, 'wrong'> & { readonly measured: unknown };
  const measured = upgradeMeasured(read);
  const renamed = { kind: newKind(r.kind) as LedgerEntry['kind'], numbers: newLabels(r.numbers), measured, wrong };
  return { ...r, ...renamed, before: knownAt({ anatomy: revision_before }), after: knownAt({ anatomy: revision_after }), at: at.toISOString() };
}

/** What was done in a job, oldest first. */
export async function ledgerOfJob(db: Knex, job: string): Promise<readonly LedgerEntry[]> {
  return (
    (await db('ledger')
      .where({ job })
      .orderBy(['at', 'id'])
      .select(...COLUMNS)) as Row[]
  ).map(toEntry);
}

/** A page of what was done to an instrument, oldest first. */
export async function ledgerAfter(db: Knex, instrument: string, after: readonly string[] | null, limit: number): Promise<readonly LedgerEntry[]> {
  const query = db('ledger')
    .where({ instrument })
    .orderBy(['at', 'id'])
    .limit(limit + 1)
    .select(...COLUMNS);
  if (after) void query.whereRaw('(at, id::text) > (?::timestamptz, ?)', [after[0] ?? '', after[1] ?? '']);
  return ((await query) as Row[]).map(toEntry);
}
