import { connect } from './connect.js';
import { migrations } from './migrations.js';
import type { Knex } from 'knex';

/** The database could not be opened or made; the message is one sentence. */
export class DatabaseError extends Error {}

/** Makes the database when it is missing and brings its tables up to date; returns a pool on it. Throws DatabaseError. */
export async function openDatabase(url: string, database: string): Promise<Knex> {
  await createIfMissing(url, database);
  const db = connect(url, database);
  try {
    await db.migrate.latest({ migrationSource: migrations, tableName: 'migrations' });
  } catch (error) {
    await db.destroy();
    throw new DatabaseError(`The tables of ${database} could not be brought up to date: ${messageOf(error)}`);
  }
  return db;
}

async function createIfMissing(url: string, database: string): Promise<void> {
  if (!/^rinnovo_[a-z0-9_]+$/.test(database)) throw new DatabaseError(`'${database}' is not a name for a workshop's database.`);
  const admin = connect(url, 'postgres', 1);
  try {
    const found = (await admin('pg_database').where({ datname: database }).first('datname')) as unknown;
    if (!found) await admin.raw('CREATE DATABASE ??', [database]);
  } catch (error) {
    const code = (error as { code?: string }).code;
    if (code === '42P04') return;
    if (code === '42501')
      throw new DatabaseError(`The database ${database} does not exist and this role may not create it: ask for 'CREATE DATABASE ${database}'.`);
    if (code === '53100') throw new DatabaseError('The disk is full: nothing could be written to the database.');
    throw new DatabaseError(`The database server does not answer: ${messageOf(error)}`);
  } finally {
    await admin.destroy();
  }
}

function messageOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}
