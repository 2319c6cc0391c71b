import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { connect } from '../db/connect.js';
import { openDatabase } from '../db/prepare.js';

/** The address of the server that specs use. */
function serverUrl(): string {
  const url = process.env['DATABASE_URL'];
  if (!url) throw new Error('DATABASE_URL is not set: run the specs with npm test or tools/with-postgres.mjs');
  return url;
}

interface OwnName {
  readonly name: string;
  readonly url: string;
  /** Closes the pool and drops the database. */
  readonly drop: (db: Knex) => Promise<void>;
}

function ownName(): OwnName {
  const url = serverUrl();
  const name = `rinnovo_test_${randomUUID().replaceAll('-', '').slice(0, 16)}`;
  const drop = async (db: Knex): Promise<void> => {
    await db.destroy();
    const admin = connect(url, 'postgres', 1);
    await admin.raw('DROP DATABASE IF EXISTS ?? WITH (FORCE)', [name]);
    await admin.destroy();
  };
  return { name, url, drop };
}

/** A database with nothing in it, not even tables. */
export async function emptyDatabase(): Promise<OwnName> {
  const own = ownName();
  const admin = connect(own.url, 'postgres', 1);
  await admin.raw('CREATE DATABASE ??', [own.name]);
  await admin.destroy();
  return own;
}

/** A database of its own for one group of specs, with its tables; dropped afterwards. */
export async function testDatabase(): Promise<{ readonly db: Knex; readonly name: string; readonly url: string; readonly drop: () => Promise<void> }> {
  const { name, url, drop } = ownName();
  const db = await openDatabase(url, name);
  return { db, name, url, drop: () => drop(db) };
}
