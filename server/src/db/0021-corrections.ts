import type { Knex } from 'knex';

/** A step that was not done after all is taken back by an entry of its own; the same step can be done again. A revision that brings an earlier state back says so. The reason is found from the list of instruments. */
export const corrections = {
  name: '0021-corrections',
  async up(db: Knex): Promise<void> {
    await db.raw(SQL);
  },
};

const SQL = `
CREATE TABLE ledger_corrections (
  id uuid PRIMARY KEY,
  entry uuid NOT NULL UNIQUE REFERENCES ledger,
  reason text NOT NULL CHECK (length(reason) <= 500),
  revision_after integer NOT NULL,
  person uuid NOT NULL REFERENCES people,
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  write_id uuid
);
CREATE TRIGGER ledger_corrections_rows BEFORE UPDATE OR DELETE ON ledger_corrections FOR EACH ROW EXECUTE FUNCTION refuse_change();
CREATE TRIGGER ledger_corrections_whole BEFORE TRUNCATE ON ledger_corrections FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();

ALTER TABLE ledger ADD COLUMN again integer NOT NULL DEFAULT 0;
DROP INDEX a_step_is_done_once;
CREATE UNIQUE INDEX a_step_is_done_once ON ledger (operation, step, again) WHERE outcome = 'done';

ALTER TABLE revisions DROP CONSTRAINT anatomy_revisions_cause_check, ADD CONSTRAINT revisions_cause_check CHECK (cause IN ('correction', 'work', 'restore'));

CREATE FUNCTION mentions_correction() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
  PERFORM mention('step', (SELECT instrument FROM ledger WHERE id = NEW.entry), NEW.id, NEW.reason);
  RETURN NULL;
END $$;
CREATE TRIGGER mentions AFTER INSERT ON ledger_corrections FOR EACH ROW EXECUTE FUNCTION mentions_correction();
`;
