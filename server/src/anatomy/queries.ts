import type { AnatomyRevision } from '@rinnovo/contract';
import { knownAt, type Anatomy, type Aspect, type Revisions } from '@rinnovo/core/instrument';
import { upgradeAnatomy } from '@rinnovo/core/upgrade';
import type { Knex } from 'knex';
import { lockInstrument } from '../db/locks.js';
import { ProblemError } from '../http/problems.js';

interface Row {
  instrument: string;
  revision: number;
  document: unknown;
  cause: 'correction' | 'work' | 'restore';
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
  const query = db('revisions').where({ instrument, aspect: 'anatomy' }).orderBy('revision', 'desc');
  if (revision !== undefined) void query.andWhere({ revision });
  const row = (await query.first()) as Row | undefined;
  if (!row) throw new ProblemError('not-found', { detail: 'This instrument has no anatomy yet.' });
  return toRevision(row);
}

/** Some revisions' documents, by number. */
export async function anatomiesOf(db: Knex, instrument: string, revisions: readonly number[]): Promise<ReadonlyMap<number, Anatomy>> {
  const rows = (await db('revisions')
    .where({ instrument, aspect: 'anatomy' })
    .whereIn('revision', [...revisions])) as Row[];
  return new Map(rows.map((r) => [r.revision, documentOf(r)]));
}

/** Was the instrument drawn so before its newest revision? */
export async function wasSoBefore(db: Knex, instrument: string, document: Anatomy, newest: number): Promise<boolean> {
  const found = (await db('revisions')
    .where({ instrument, aspect: 'anatomy' })
    .where('revision', '<', newest)
    .whereRaw('document = ?::jsonb', [JSON.stringify(document)])
    .first('revision')) as object | undefined;
  return found !== undefined;
}

/** Every revision's number, cause and time, newest first. */
export async function anatomyHistory(db: Knex, instrument: string): Promise<readonly Omit<AnatomyRevision, 'document'>[]> {
  const rows = (await db('revisions')
    .where({ instrument, aspect: 'anatomy' })
    .orderBy('revision', 'desc')
    .limit(500)
    .select('instrument', 'revision', 'cause', 'entry', 'person', 'at')) as Row[];
  return rows.map((r) => ({ instrument: r.instrument, revision: r.revision, cause: r.cause, entry: r.entry, person: r.person, at: r.at.toISOString() }));
}

/** How far every aspect of an instrument is known. */
export async function revisionsOf(db: Knex, instrument: string): Promise<Revisions> {
  const rows = (await db('revisions').where({ instrument }).groupBy('aspect').select('aspect').max('revision as newest')) as {
    aspect: Aspect;
    newest: number;
  }[];
  return knownAt(Object.fromEntries(rows.map((r) => [r.aspect, r.newest])));
}

/** The same with the instrument's row locked: what a writer builds on. */
export async function lockRevisions(trx: Knex.Transaction, instrument: string): Promise<Revisions> {
  await lockInstrument(trx, instrument);
  return revisionsOf(trx, instrument);
}

export interface NewRevision {
  readonly instrument: string;
  readonly document: Anatomy;
  readonly cause: 'correction' | 'work' | 'restore';
  readonly entry: string | null;
  readonly person: string;
  readonly writeId: string;
}

/** Adds a revision of the anatomy on top of what is known; ends in what is known then. */
export async function addRevision(trx: Knex.Transaction, newest: Revisions, r: NewRevision): Promise<Revisions> {
  const revision = newest.anatomy + 1;
  await trx('revisions').insert({
    instrument: r.instrument,
    aspect: 'anatomy',
    revision,
    document: JSON.stringify(r.document),
    cause: r.cause,
    entry: r.entry,
    person: r.person,
    write_id: r.writeId,
  });
  return { ...newest, anatomy: revision };
}
