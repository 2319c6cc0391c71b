import type { Knex } from 'knex';

/** Outlines that are kept to be used again, each with the drawing that it is from. */
export const drawer = {
  name: '0002-drawer',
  async up(db: Knex): Promise<void> {
    await db.raw(SQL);
  },
};

const SQL = `
CREATE TABLE outlines (
  id uuid PRIMARY KEY,
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
  outline jsonb NOT NULL,
  edge_limit double precision NOT NULL CHECK (edge_limit >= 0),
  source_file text,
  source_kind text CHECK (source_kind IN ('svg', 'dxf')),
  source_text text,
  away boolean NOT NULL DEFAULT false,
  at timestamptz NOT NULL DEFAULT now(),
  person uuid NOT NULL REFERENCES people,
  version integer NOT NULL DEFAULT 1,
  write_id uuid,
  CHECK ((source_file IS NULL) = (source_text IS NULL) AND (source_kind IS NULL) = (source_text IS NULL))
);
CREATE INDEX outlines_by_name ON outlines (name, id) WHERE NOT away;
`;
