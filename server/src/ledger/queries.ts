import type { LedgerEntry, TakenBack } from '@rinnovo/core/job';
import { newKind, newLabels, upgradeMeasured, withNewNames } from '@rinnovo/core/upgrade';
import { knownAt } from '@rinnovo/core/instrument';
import type { Knex } from 'knex';

interface Row extends Omit<LedgerEntry, 'done' | 'at' | 'before' | 'after' | 'unjudged' | 'takenBack'> {
  readonly revision_before: number;
  readonly revision_after: number;
  readonly done: Date | null;
  readonly at: Date;
  readonly unjudged: string | null;
  readonly looked: { readonly person: string; readonly at: string; readonly found: string } | null;
  readonly taken_back: (Omit<TakenBack, 'after'> & { readonly after: number }) | null;
}

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
  'done',
  'at',
  'unjudged',
] as const;

/** A time of the database as it goes out. */
const time = (column: string): string => `to_char(${column} AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`;

/** Who looked at an entry that was not judged, and who took one back, in one row with it. */
const LOOKED = `(SELECT json_build_object('person', k.person, 'at', ${time('k.at')}, 'found', k.found) FROM ledger_looks k WHERE k.entry = ledger.id) AS looked`;
const TAKEN_BACK = `(SELECT json_build_object('id', c.id, 'person', c.person, 'at', ${time('c.at')}, 'reason', c.reason, 'after', c.revision_after) FROM ledger_corrections c WHERE c.entry = ledger.id) AS taken_back`;

/** Entries keep the bytes that they were written with: older ones are read under today's names. */
function toEntry({ revision_before, revision_after, done, at, unjudged: why, looked, taken_back: back, ...r }: Row): LedgerEntry {
  const { measured: read, wrong } = withNewNames({ measured: r.measured, wrong: r.wrong }) as Pick<LedgerEntry, 'wrong'> & { readonly measured: unknown };
  const measured = upgradeMeasured(read);
  const renamed = { kind: newKind(r.kind) as LedgerEntry['kind'], numbers: newLabels(r.numbers), measured, wrong };
  const revisions = { before: knownAt({ anatomy: revision_before }), after: knownAt({ anatomy: revision_after }) };
  const unjudged = why === null ? null : { why, looked };
  return {
    ...r,
    ...renamed,
    ...revisions,
    done: done?.toISOString() ?? null,
    at: at.toISOString(),
    unjudged,
    takenBack: back && { ...back, after: knownAt({ anatomy: back.after }) },
  };
}

/** An entry as it is written; when it is kept, and whether it was taken back, is the database's to say. */
export function rowOf({ wrong, measured, numbers, before, after, unjudged, ...l }: LedgerEntry): object {
  const { id, instrument, job, operation, kind, step, outcome, note, minutes, person, done } = l;
  const plain = { id, instrument, job, operation, kind, step, outcome, note, minutes, person, done };
  const documents = { wrong: wrong && JSON.stringify(wrong), measured: measured && JSON.stringify(measured), numbers: JSON.stringify(numbers) };
  return { ...plain, ...documents, unjudged: unjudged?.why ?? null, revision_before: before.anatomy, revision_after: after.anatomy };
}

/** What was done in a job, oldest first. */
export async function ledgerOfJob(db: Knex, job: string): Promise<readonly LedgerEntry[]> {
  return (
    (await db('ledger')
      .where({ job })
      .orderBy(['at', 'id'])
      .select(...COLUMNS, db.raw(LOOKED), db.raw(TAKEN_BACK))) as Row[]
  ).map(toEntry);
}

/** A page of what was done to an instrument, oldest first. */
export async function ledgerAfter(db: Knex, instrument: string, after: readonly string[] | null, limit: number): Promise<readonly LedgerEntry[]> {
  const query = db('ledger')
    .where({ instrument })
    .orderBy(['at', 'id'])
    .limit(limit + 1)
    .select(...COLUMNS, db.raw(LOOKED), db.raw(TAKEN_BACK));
  if (after) void query.whereRaw('(at, id::text) > (?::timestamptz, ?)', [after[0] ?? '', after[1] ?? '']);
  return ((await query) as Row[]).map(toEntry);
}

/** Steps on an instrument that were done without being judged and that nobody has looked at. */
export async function unlookedAt(db: Knex, instrument: string): Promise<readonly string[]> {
  const rows = (await db('ledger as l')
    .leftJoin('ledger_looks as k', 'k.entry', 'l.id')
    .where('l.instrument', instrument)
    .whereNotNull('l.unjudged')
    .whereNull('k.id')
    .orderBy('l.at')
    .select('l.id')) as { id: string }[];
  return rows.map((r) => r.id);
}

/** As many entries as an instrument has at most. */
export const MOST_ENTRIES = 100_000;

/** How often a step of an operation was taken back before. */
export async function timesTakenBack(db: Knex, { operation, step }: Pick<LedgerEntry, 'operation' | 'step'>): Promise<number> {
  const found = await db('ledger_corrections as c')
    .join('ledger as l', 'l.id', 'c.entry')
    .where({ 'l.operation': operation, 'l.step': step })
    .count('* as n')
    .first();
  return Number((found as { n: string }).n);
}

/** A step taken back, as it is written down. */
export interface CorrectionRow {
  readonly id: string;
  readonly entry: string;
  readonly reason: string;
  readonly revision_after: number;
  readonly person: string;
  readonly write_id: string;
}

export async function addCorrection(trx: Knex.Transaction, row: CorrectionRow): Promise<void> {
  await trx('ledger_corrections').insert(row);
}

/** The write that an entry came in by; null where nobody knows it. */
export async function writeOf(db: Knex, entry: string): Promise<string | null> {
  const found = (await db('ledger').where({ id: entry }).first('write_id')) as { write_id: string | null } | undefined;
  return found?.write_id ?? null;
}
