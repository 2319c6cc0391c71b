import type { Knex } from 'knex';

/** What the owner agreed to, with the price and the options as they stood. */
export const consents = {
  name: '0006-consents',
  async up(db: Knex): Promise<void> {
    await db.raw(SQL);
  },
};

const SQL = `
CREATE TABLE consents (
  id uuid PRIMARY KEY,
  job uuid NOT NULL REFERENCES jobs,
  decision uuid NOT NULL REFERENCES decisions,
  how text NOT NULL CHECK (how IN ('in person', 'by phone', 'in writing')),
  said text NOT NULL CHECK (length(said) BETWEEN 1 AND 500),
  price bigint NOT NULL CHECK (price >= 0),
  options jsonb NOT NULL,
  person uuid NOT NULL REFERENCES people,
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  write_id uuid
);
CREATE INDEX consents_of ON consents (decision, at);
CREATE TRIGGER consents_stay BEFORE UPDATE OR DELETE ON consents FOR EACH ROW EXECUTE FUNCTION refuse_signed();
`;
