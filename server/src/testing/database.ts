import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { connect } from '../db/connect.js';
import { openDatabase } from '../db/prepare.js';

/** A database of its own for one group of specs; dropped afterwards. */
export async function testDatabase(): Promise<{ readonly db: Knex; readonly name: string; readonly url: string; readonly drop: () => Promise<void> }> {
  const url = process.env['DATABASE_URL'];
  if (!url) throw new Error('DATABASE_URL is not set: run the specs with npm test or tools/with-postgres.mjs');
  const name = `rinnovo_test_${randomUUID().replaceAll('-', '').slice(0, 16)}`;
  const db = await openDatabase(url, name);
  return {
    db,
    name,
    url,
    drop: async () => {
      await db.destroy();
      const admin = connect(url, 'postgres', 1);
      await admin.raw('DROP DATABASE IF EXISTS ?? WITH (FORCE)', [name]);
      await admin.destroy();
    },
  };
}
