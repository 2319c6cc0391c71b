import type { AnatomyRevision } from '@rinnovo/contract';
import type { Anatomy } from '@rinnovo/core/instrument';
import { upgradeAnatomy } from '@rinnovo/core/upgrade';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';

interface Row {
  instrument: string;
  revision: number;
  document: unknown;
  cause: 'correction' | 'work';
  entry: string | null;
  person: string;
  at: Date;
}

function toRevision(r: Row): AnatomyRevision {
  return { instrument: r.instrument, revision: r.revision, document: documentOf(r), cause: r.cause, entry: r.entry, person: r.person, at: r.at.toISOString() };
}

/** Revisions keep the bytes that they were written with: an older one is read under today's names. */
function documentOf({ document }: Row): Anatomy {
  try {
    return upgradeAnatomy(document);
  } catch {
    throw new ProblemError('unexpected', { detail: 'A later version of the program wrote this anatomy. Update this one.' });
  }
}

/** The newest revision, or one by number. Throws not-found. */
export async function anatomyOf(db: Knex, instrument: string, revision?: number): Promise<AnatomyRevision> {
  const query = db<Row>('anatomy_revisions').where({ instrument }).orderBy('revision', 'desc');
  if (revision !== undefined) void query.andWhere({ revision });
  const row = (await query.first()) as Row | undefined;
  if (!row) throw new ProblemError('not-found', { detail: 'This instrument has no anatomy yet.' });
  return toRevision(row);
}

/** Every revision's number, cause and time, newest first. */
export async function anatomyHistory(db: Knex, instrument: string): Promise<readonly Omit<AnatomyRevision, 'document'>[]> {
  const rows = (await db('anatomy_revisions')
    .where({ instrument })
    .orderBy('revision', 'desc')
    .limit(500)
    .select('instrument', 'revision', 'cause', 'entry', 'person', 'at')) as Row[];
  return rows.map((r) => ({ instrument: r.instrument, revision: r.revision, cause: r.cause, entry: r.entry, person: r.person, at: r.at.toISOString() }));
}

/** The newest revision's number with the instrument's row locked, 0 when there is none: what a writer builds on. */
export async function lockRevision(trx: Knex.Transaction, instrument: string): Promise<number> {
  const found = (await trx('instruments').where({ id: instrument }).forUpdate().first('id')) as unknown;
  if (!found) throw new ProblemError('not-found', { detail: 'No instrument has that id.' });
  const row = (await trx('anatomy_revisions').where({ instrument }).max('revision as newest').first()) as { newest: number | null } | undefined;
  return row?.newest ?? 0;
}

export interface NewRevision {
  readonly instrument: string;
  readonly document: Anatomy;
  readonly cause: 'correction' | 'work';
  readonly entry: string | null;
  readonly person: string;
  readonly writeId: string;
}

/** Adds a revision on top of `newest`. */
export async function addRevision(trx: Knex.Transaction, newest: number, r: NewRevision): Promise<number> {
  const revision = newest + 1;
  await trx('anatomy_revisions').insert({
    instrument: r.instrument,
    revision,
    document: JSON.stringify(r.document),
    cause: r.cause,
    entry: r.entry,
    person: r.person,
    write_id: r.writeId,
  });
  return revision;
}
