import type { Knex } from 'knex';

/** Rows that are only ever added: the database itself refuses update, delete and truncate. */
const APPEND_ONLY = ['ledger', 'readings', 'anatomy_revisions'] as const;

export const workshop = {
  name: '0001-workshop',
  async up(db: Knex): Promise<void> {
    await db.raw(SQL);
    for (const table of APPEND_ONLY) {
      await db.raw(`CREATE TRIGGER ${table}_rows BEFORE UPDATE OR DELETE ON ${table} FOR EACH ROW EXECUTE FUNCTION refuse_change()`);
      await db.raw(`CREATE TRIGGER ${table}_whole BEFORE TRUNCATE ON ${table} FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()`);
    }
  },
};

const SQL = `
CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION 'rows of % are only ever added', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
END $$;

CREATE TABLE people (
  id uuid PRIMARY KEY,
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
  role text NOT NULL CHECK (role IN ('technician', 'owner')),
  version integer NOT NULL DEFAULT 1,
  write_id uuid
);

CREATE TABLE writes (
  id uuid PRIMARY KEY,
  at timestamptz NOT NULL DEFAULT now(),
  person uuid NOT NULL REFERENCES people DEFERRABLE INITIALLY DEFERRED,
  method text NOT NULL,
  path text NOT NULL,
  body_hash text NOT NULL,
  status integer,
  response jsonb,
  etag text
);

CREATE TABLE instruments (
  id uuid PRIMARY KEY,
  label text NOT NULL,
  maker text NOT NULL,
  model text NOT NULL,
  serial text NOT NULL,
  owner uuid REFERENCES people,
  notes text NOT NULL,
  kind text NOT NULL,
  identity jsonb NOT NULL,
  archived boolean NOT NULL DEFAULT false,
  search text NOT NULL GENERATED ALWAYS AS (lower(label || ' ' || maker || ' ' || model || ' ' || serial || ' ' || notes)) STORED,
  version integer NOT NULL DEFAULT 1,
  write_id uuid
);
CREATE INDEX instruments_by_label ON instruments (label, id) WHERE NOT archived;
CREATE INDEX archived_instruments ON instruments (label, id) WHERE archived;

CREATE TABLE jobs (
  id uuid PRIMARY KEY,
  instrument uuid NOT NULL REFERENCES instruments,
  title text NOT NULL,
  wish jsonb NOT NULL,
  owner_says text NOT NULL,
  look text NOT NULL,
  limits jsonb NOT NULL,
  worth bigint CHECK (worth >= 0),
  active boolean NOT NULL DEFAULT true,
  version integer NOT NULL DEFAULT 1,
  write_id uuid
);
CREATE UNIQUE INDEX one_active_job ON jobs (instrument) WHERE active;

CREATE TABLE anatomy_revisions (
  instrument uuid NOT NULL REFERENCES instruments,
  revision integer NOT NULL CHECK (revision >= 1),
  document jsonb NOT NULL CHECK (document->>'format' = '1'),
  cause text NOT NULL CHECK (cause IN ('correction', 'work')),
  entry uuid,
  person uuid NOT NULL REFERENCES people,
  at timestamptz NOT NULL DEFAULT now(),
  write_id uuid,
  PRIMARY KEY (instrument, revision)
);

CREATE TABLE blind_sessions (
  id uuid PRIMARY KEY,
  instrument uuid NOT NULL REFERENCES instruments,
  target jsonb NOT NULL,
  target_key text NOT NULL,
  tool text NOT NULL,
  person uuid NOT NULL REFERENCES people,
  at timestamptz NOT NULL DEFAULT now(),
  closed boolean NOT NULL DEFAULT false,
  write_id uuid
);
CREATE INDEX open_blind_sessions ON blind_sessions (instrument, target_key) WHERE NOT closed;

CREATE TABLE readings (
  id uuid PRIMARY KEY,
  instrument uuid NOT NULL REFERENCES instruments,
  target jsonb NOT NULL,
  target_key text NOT NULL,
  value double precision NOT NULL CHECK (value > '-Infinity' AND value < 'Infinity'),
  "limit" double precision NOT NULL CHECK ("limit" > 0 AND "limit" < 100),
  raw text NOT NULL,
  tool text NOT NULL,
  person uuid NOT NULL REFERENCES people,
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  blind boolean NOT NULL,
  session uuid REFERENCES blind_sessions,
  write_id uuid,
  CHECK (blind = (session IS NOT NULL) OR write_id IS NULL)
);
CREATE INDEX readings_of ON readings (instrument, at, id);
CREATE UNIQUE INDEX one_reading_a_session ON readings (session) WHERE session IS NOT NULL;

CREATE TABLE parts (
  id uuid PRIMARY KEY,
  document jsonb NOT NULL CHECK (document->>'format' = '1'),
  version integer NOT NULL DEFAULT 1,
  write_id uuid
);

CREATE TABLE tools (
  id text PRIMARY KEY,
  document jsonb NOT NULL,
  version integer NOT NULL DEFAULT 1,
  write_id uuid
);

CREATE TABLE shop (
  one boolean PRIMARY KEY DEFAULT true CHECK (one),
  own jsonb NOT NULL DEFAULT '{}',
  version integer NOT NULL DEFAULT 1,
  write_id uuid
);
INSERT INTO shop (one) VALUES (true);

CREATE TABLE plans (
  job uuid PRIMARY KEY REFERENCES jobs,
  document jsonb NOT NULL CHECK (document->>'format' = '1'),
  revision integer NOT NULL,
  version integer NOT NULL DEFAULT 1,
  write_id uuid
);

CREATE TABLE decisions (
  id uuid PRIMARY KEY,
  job uuid NOT NULL REFERENCES jobs,
  option text NOT NULL,
  reason text NOT NULL,
  person uuid NOT NULL REFERENCES people,
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  plan_version integer NOT NULL,
  revision integer NOT NULL,
  plan jsonb NOT NULL,
  options jsonb NOT NULL,
  undone_at timestamptz,
  write_id uuid
);
CREATE UNIQUE INDEX one_live_decision ON decisions (job) WHERE undone_at IS NULL;
CREATE INDEX decisions_of ON decisions (job, at);

CREATE TABLE operations (
  id uuid PRIMARY KEY,
  job uuid NOT NULL REFERENCES jobs,
  decision uuid NOT NULL REFERENCES decisions,
  kind text NOT NULL,
  feature text NOT NULL,
  state text NOT NULL CHECK (state IN ('proposed', 'ready', 'doing', 'done', 'failed', 'dropped')),
  rank integer,
  write_id uuid,
  UNIQUE (decision, kind, feature)
);
CREATE INDEX operations_of ON operations (job);

CREATE TABLE waivers (
  id uuid PRIMARY KEY,
  job uuid NOT NULL REFERENCES jobs,
  rule text NOT NULL,
  operations uuid[] NOT NULL,
  reason text NOT NULL,
  person uuid NOT NULL REFERENCES people,
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  write_id uuid
);

CREATE TABLE clearances (
  id uuid PRIMARY KEY,
  job uuid NOT NULL REFERENCES jobs,
  decision uuid NOT NULL REFERENCES decisions,
  plan_version integer NOT NULL,
  revision integer NOT NULL,
  accepted jsonb NOT NULL,
  numbers jsonb NOT NULL,
  person uuid NOT NULL REFERENCES people,
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  write_id uuid
);
CREATE INDEX clearances_of ON clearances (decision, at);

CREATE TABLE ledger (
  id uuid PRIMARY KEY,
  instrument uuid NOT NULL REFERENCES instruments,
  job uuid NOT NULL REFERENCES jobs,
  operation uuid NOT NULL REFERENCES operations,
  kind text NOT NULL,
  step text NOT NULL,
  outcome text NOT NULL CHECK (outcome IN ('done', 'wentWrong')),
  note text NOT NULL,
  minutes double precision,
  measured jsonb,
  numbers jsonb NOT NULL,
  revision_before integer NOT NULL,
  revision_after integer NOT NULL,
  person uuid NOT NULL REFERENCES people,
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  write_id uuid
);
CREATE INDEX ledger_of ON ledger (instrument, at, id);
CREATE UNIQUE INDEX a_step_is_done_once ON ledger (operation, step) WHERE outcome = 'done';
`;
