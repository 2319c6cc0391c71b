import type { Knex } from 'knex';

/** How the workshop writes numbers, dates and money: at first as its machine keeps time. */
export const locale = {
  name: '0009-locale',
  async up(db: Knex): Promise<void> {
    await db.raw(SQL);
    await db('shop').update({ time_zone: Intl.DateTimeFormat().resolvedOptions().timeZone });
  },
};

const SQL = `
ALTER TABLE shop
  ADD COLUMN locale text NOT NULL DEFAULT 'en-GB',
  ADD COLUMN time_zone text NOT NULL DEFAULT 'UTC',
  ADD COLUMN currency text NOT NULL DEFAULT '';
`;
