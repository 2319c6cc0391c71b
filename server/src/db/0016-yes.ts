import type { Knex } from 'knex';

/** A yes carries what it was given for and can be taken back; who owned an instrument while a job was done stays known. */
export const yes = {
  name: '0016-yes',
  async up(db: Knex): Promise<void> {
    await db.raw(`
ALTER TABLE consents ADD COLUMN given jsonb;
ALTER TABLE jobs ADD COLUMN begun timestamptz NOT NULL DEFAULT clock_timestamp();

CREATE TABLE consent_withdrawals (
  id uuid PRIMARY KEY,
  consent uuid NOT NULL UNIQUE REFERENCES consents,
  said text NOT NULL CHECK (length(said) BETWEEN 1 AND 500),
  person uuid NOT NULL REFERENCES people,
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  write_id uuid
);
CREATE TRIGGER consent_withdrawals_stay BEFORE UPDATE OR DELETE ON consent_withdrawals FOR EACH ROW EXECUTE FUNCTION refuse_signed();

CREATE TABLE owner_changes (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  instrument uuid NOT NULL REFERENCES instruments,
  was uuid REFERENCES people,
  was_role text,
  now uuid REFERENCES people,
  now_role text,
  person uuid NOT NULL REFERENCES people,
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  write_id uuid
);
CREATE INDEX owner_changes_of ON owner_changes (instrument, at);
CREATE TRIGGER owner_changes_stay BEFORE UPDATE OR DELETE ON owner_changes FOR EACH ROW EXECUTE FUNCTION refuse_signed();
`);
  },
};
