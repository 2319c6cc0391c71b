import type { Knex } from 'knex';

/** What stands at the head of the workshop's papers: its name and address. One row. */
export const letterhead = {
  name: '0022-letterhead',
  async up(db: Knex): Promise<void> {
    await db.raw(`
CREATE TABLE letterhead (
  one boolean PRIMARY KEY DEFAULT true CHECK (one),
  name text NOT NULL DEFAULT '' CHECK (length(name) <= 120),
  address text NOT NULL DEFAULT '' CHECK (length(address) <= 300),
  version integer NOT NULL DEFAULT 1,
  write_id uuid
);
INSERT INTO letterhead DEFAULT VALUES;
`);
  },
};
