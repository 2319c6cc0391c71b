import type { Knex } from 'knex';

/** What is said of an instrument anywhere, to be found again: its jobs, findings, reasons, parts and ledger. Kept by the tables themselves. */
export const mentions = {
  name: '0020-mentions',
  async up(db: Knex): Promise<void> {
    await db.raw(SQL);
  },
};

const SQL = `
CREATE EXTENSION IF NOT EXISTS pg_trgm;

CREATE TABLE mentions (
  instrument uuid NOT NULL REFERENCES instruments,
  kind text NOT NULL CHECK (kind IN ('job', 'finding', 'reason', 'part', 'step')),
  source uuid NOT NULL,
  text text NOT NULL,
  PRIMARY KEY (kind, source)
);
CREATE INDEX instruments_like ON instruments USING gin (search gin_trgm_ops);
CREATE INDEX mentions_of ON mentions (instrument);
CREATE INDEX mentions_like ON mentions USING gin (lower(text) gin_trgm_ops);
CREATE INDEX mentions_words ON mentions USING gin (to_tsvector('simple', text));

CREATE FUNCTION mention(k text, i uuid, s uuid, t text) RETURNS void LANGUAGE sql AS $$
  DELETE FROM mentions WHERE kind = k AND source = s;
  INSERT INTO mentions SELECT i, k, s, btrim(t) WHERE btrim(t) <> '';
$$;

CREATE FUNCTION mention_parts(j uuid) RETURNS void LANGUAGE sql AS $$
  SELECT mention('part', (SELECT instrument FROM jobs WHERE id = j), j, (
    SELECT string_agg(DISTINCT p.document->>'name', ', ')
    FROM plans, jsonb_array_elements(plans.document->'choices') AS c JOIN parts p ON p.id::text = c->>'part'
    WHERE plans.job = j));
$$;

CREATE FUNCTION mentions_job() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
  PERFORM mention('job', NEW.instrument, NEW.id, NEW.title || E'\\n' || NEW.owner_says);
  RETURN NULL;
END $$;
CREATE TRIGGER mentions AFTER INSERT OR UPDATE OF title, owner_says ON jobs FOR EACH ROW EXECUTE FUNCTION mentions_job();

CREATE FUNCTION mentions_finding() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
  PERFORM mention('finding', NEW.instrument, NEW.id, CASE WHEN NEW.withdrawn THEN '' ELSE NEW.text END);
  RETURN NULL;
END $$;
CREATE TRIGGER mentions AFTER INSERT OR UPDATE OF text, withdrawn ON findings FOR EACH ROW EXECUTE FUNCTION mentions_finding();

CREATE FUNCTION mentions_reason() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
  PERFORM mention('reason', (SELECT instrument FROM jobs WHERE id = NEW.job), NEW.id, to_jsonb(NEW)->>TG_ARGV[0]);
  RETURN NULL;
END $$;
CREATE TRIGGER mentions AFTER INSERT ON decisions FOR EACH ROW EXECUTE FUNCTION mentions_reason('reason');
CREATE TRIGGER mentions AFTER INSERT ON waivers FOR EACH ROW EXECUTE FUNCTION mentions_reason('reason');
CREATE TRIGGER mentions AFTER INSERT ON consents FOR EACH ROW EXECUTE FUNCTION mentions_reason('said');

CREATE FUNCTION mentions_step() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
  PERFORM mention('step', NEW.instrument, NEW.id, NEW.note || E'\\n' || coalesce(NEW.wrong->>'lesson', ''));
  RETURN NULL;
END $$;
CREATE TRIGGER mentions AFTER INSERT ON ledger FOR EACH ROW EXECUTE FUNCTION mentions_step();

CREATE FUNCTION mentions_plan() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
  PERFORM mention_parts(NEW.job);
  RETURN NULL;
END $$;
CREATE TRIGGER mentions AFTER INSERT OR UPDATE OF document ON plans FOR EACH ROW EXECUTE FUNCTION mentions_plan();

CREATE FUNCTION mentions_name() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
  IF NEW.document->>'name' IS DISTINCT FROM OLD.document->>'name' THEN
    PERFORM mention_parts(job) FROM plans WHERE document->'choices' @> jsonb_build_array(jsonb_build_object('part', NEW.id));
  END IF;
  RETURN NULL;
END $$;
CREATE TRIGGER mentions AFTER UPDATE OF document ON parts FOR EACH ROW EXECUTE FUNCTION mentions_name();

SELECT mention('job', instrument, id, title || E'\\n' || owner_says) FROM jobs;
SELECT mention('finding', instrument, id, text) FROM findings WHERE NOT withdrawn;
SELECT mention('reason', j.instrument, d.id, d.reason) FROM decisions d JOIN jobs j ON j.id = d.job;
SELECT mention('reason', j.instrument, x.id, x.reason) FROM waivers x JOIN jobs j ON j.id = x.job;
SELECT mention('reason', j.instrument, c.id, c.said) FROM consents c JOIN jobs j ON j.id = c.job;
SELECT mention('step', instrument, id, note || E'\\n' || coalesce(wrong->>'lesson', '')) FROM ledger;
SELECT mention_parts(job) FROM plans;
`;
