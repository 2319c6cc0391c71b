import { upgradeValue, type WrittenValue } from '@rinnovo/core/upgrade';
import type { Knex } from 'knex';

/** A reading tells its unit and what it was taken under; those of before keep their bytes and are read in today's unit. What a profile wants is kept in Ω. */
export const units = {
  name: '0014-units',
  async up(db: Knex): Promise<void> {
    await db.raw(`
ALTER TABLE readings ADD COLUMN unit text;
ALTER TABLE readings ADD COLUMN under jsonb;
ALTER TABLE readings DROP CONSTRAINT readings_limit_check;
ALTER TABLE readings ADD CONSTRAINT readings_limit_check CHECK ("limit" > 0 AND "limit" <= 1e6);
`);
    for (const { id, values } of (await db('profiles').select('id', 'values')) as { id: string; values: WrittenValue[] }[])
      await db('profiles')
        .where({ id })
        .update({ values: JSON.stringify(values.map((v) => upgradeValue(v))) });
  },
};
