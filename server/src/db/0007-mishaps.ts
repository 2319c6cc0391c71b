import type { Knex } from 'knex';

/** What went wrong, with its number and its lesson; what was read on a print before a cut; photographs of a step. */
export const mishaps = {
  name: '0007-mishaps',
  async up(db: Knex): Promise<void> {
    await db.raw(SQL);
  },
};

const SQL = `
ALTER TABLE ledger ADD COLUMN wrong jsonb;
ALTER TABLE clearances ADD COLUMN print jsonb;
CREATE INDEX lessons ON ledger (kind, at) WHERE wrong->>'lesson' <> '';

CREATE TABLE photographs (
  id uuid PRIMARY KEY,
  instrument uuid NOT NULL REFERENCES instruments,
  operation uuid NOT NULL REFERENCES operations,
  step text NOT NULL,
  width integer NOT NULL,
  height integer NOT NULL,
  image bytea NOT NULL,
  small bytea NOT NULL,
  away boolean NOT NULL DEFAULT false,
  person uuid NOT NULL REFERENCES people,
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  version integer NOT NULL DEFAULT 1,
  write_id uuid
);
CREATE INDEX photographs_of ON photographs (instrument, at, id);
`;
