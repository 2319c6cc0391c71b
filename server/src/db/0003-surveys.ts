import type { Knex } from 'knex';

/** Surveys with their signature, what was found and accepted, and profiles of instruments that play well. */
export const surveys = {
  name: '0003-surveys',
  async up(db: Knex): Promise<void> {
    await db.raw(SQL);
  },
};

const SQL = `
CREATE TABLE surveys (
  id uuid PRIMARY KEY,
  instrument uuid NOT NULL REFERENCES instruments,
  kind text NOT NULL CHECK (kind IN ('as found', 'as left', 'check')),
  strings text NOT NULL,
  tuning text NOT NULL,
  skipped jsonb NOT NULL DEFAULT '[]',
  wanted jsonb NOT NULL DEFAULT '[]',
  person uuid NOT NULL REFERENCES people,
  holder uuid NOT NULL REFERENCES people,
  begun timestamptz NOT NULL DEFAULT clock_timestamp(),
  signed_at timestamptz,
  signed_by uuid REFERENCES people,
  version integer NOT NULL DEFAULT 1,
  write_id uuid,
  CHECK ((signed_at IS NULL) = (signed_by IS NULL))
);
CREATE INDEX surveys_of ON surveys (instrument, begun);
CREATE UNIQUE INDEX one_open_survey ON surveys (instrument) WHERE signed_at IS NULL;

CREATE FUNCTION refuse_signed() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION 'a signed survey is not changed' USING ERRCODE = 'restrict_violation';
END $$;
CREATE TRIGGER surveys_signed BEFORE UPDATE OR DELETE ON surveys FOR EACH ROW WHEN (OLD.signed_at IS NOT NULL) EXECUTE FUNCTION refuse_signed();

ALTER TABLE readings ADD COLUMN survey uuid REFERENCES surveys, ADD COLUMN corrects uuid REFERENCES readings;
CREATE UNIQUE INDEX corrected_once ON readings (corrects) WHERE corrects IS NOT NULL;

CREATE TABLE findings (
  id uuid PRIMARY KEY,
  instrument uuid NOT NULL REFERENCES instruments,
  survey uuid REFERENCES surveys,
  rule text,
  feature text,
  says text NOT NULL CHECK (length(says) BETWEEN 1 AND 500),
  severity text NOT NULL CHECK (severity IN ('leave', 'watch', 'put right', 'stop')),
  job uuid REFERENCES jobs,
  done boolean NOT NULL DEFAULT false,
  withdrawn boolean NOT NULL DEFAULT false,
  person uuid NOT NULL REFERENCES people,
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  version integer NOT NULL DEFAULT 1,
  write_id uuid
);
CREATE INDEX findings_of ON findings (instrument, at);

CREATE TABLE profiles (
  id uuid PRIMARY KEY,
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
  instrument uuid NOT NULL REFERENCES instruments,
  survey uuid NOT NULL REFERENCES surveys,
  values jsonb NOT NULL,
  person uuid NOT NULL REFERENCES people,
  at timestamptz NOT NULL DEFAULT now(),
  away boolean NOT NULL DEFAULT false,
  version integer NOT NULL DEFAULT 1,
  write_id uuid
);
`;
