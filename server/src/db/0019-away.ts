import type { Knex } from 'knex';

/** When a step was done by the clock of where it was done; what was done without being judged, and what was found by whoever looked at it. */
export const away = {
  name: '0019-away',
  async up(db: Knex): Promise<void> {
    await db.raw(`
ALTER TABLE ledger ADD COLUMN done timestamptz;
ALTER TABLE ledger ADD COLUMN unjudged text CHECK (length(unjudged) BETWEEN 1 AND 200);
CREATE INDEX ledger_unjudged ON ledger (instrument) WHERE unjudged IS NOT NULL;

CREATE TABLE ledger_looks (
  id uuid PRIMARY KEY,
  entry uuid NOT NULL UNIQUE REFERENCES ledger,
  found text NOT NULL CHECK (length(found) BETWEEN 1 AND 500),
  person uuid NOT NULL REFERENCES people,
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  write_id uuid
);
CREATE TRIGGER ledger_looks_stay BEFORE UPDATE OR DELETE ON ledger_looks FOR EACH ROW EXECUTE FUNCTION refuse_signed();
`);
  },
};
