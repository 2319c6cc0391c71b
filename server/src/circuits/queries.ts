import type { CircuitRevision } from '@rinnovo/contract';
import type { Revisions } from '@rinnovo/core/instrument';
import { upgradeCircuit } from '@rinnovo/core/upgrade';
import type { Circuit } from '@rinnovo/core/wire';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';

interface Row {
  instrument: string;
  revision: number;
  document: unknown;
  cause: 'correction' | 'work' | 'restore';
  person: string;
  at: Date;
}

/** What is known of a circuit: its newest revision, or that nothing is; the one of that number, where one is named. */
export async function circuitOf(db: Knex, instrument: string, revision?: number): Promise<CircuitRevision> {
  const query = db('revisions').where({ instrument, aspect: 'circuit' }).orderBy('revision', 'desc');
  if (revision !== undefined) void query.andWhere({ revision });
  const row = (await query.first()) as Row | undefined;
  if (!row && revision !== undefined) throw new ProblemError('not-found', { detail: 'This instrument has no such circuit.' });
  if (!row) return { instrument, revision: 0, document: null, cause: null, person: null, at: null };
  return { instrument, revision: row.revision, document: documentOf(row), cause: row.cause, person: row.person, at: row.at.toISOString() };
}

/** Revisions keep the bytes that they were written with: an older one is read under today's names. */
function documentOf({ document }: Row): Circuit {
  try {
    return upgradeCircuit(document);
  } catch {
    throw new ProblemError('unexpected', { detail: 'A later version of the program wrote this circuit. Update this one.' });
  }
}

/** Adds a revision of the circuit on top of what is known; one that is as an earlier one was restores it. */
export async function addCircuit(
  trx: Knex.Transaction,
  newest: Revisions,
  { instrument, document, person, writeId }: { readonly instrument: string; readonly document: Circuit; readonly person: string; readonly writeId: string },
): Promise<void> {
  const bytes = JSON.stringify(document);
  const before = (await trx('revisions')
    .where({ instrument, aspect: 'circuit' })
    .where('revision', '<', newest.circuit)
    .whereRaw('document = ?::jsonb', [bytes])
    .first('revision')) as object | undefined;
  await trx('revisions').insert({
    instrument,
    aspect: 'circuit',
    revision: newest.circuit + 1,
    document: bytes,
    cause: before ? 'restore' : 'correction',
    entry: null,
    person,
    write_id: writeId,
  });
}
