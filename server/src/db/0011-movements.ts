import type { Knex } from 'knex';

/** What goes into a drawer and out of it is only ever added: how many lie there is their sum. What lay there is the first count. */
export const movements = {
  name: '0011-movements',
  async up(db: Knex): Promise<void> {
    await db.raw(SQL);
  },
};

const SQL = `
CREATE TABLE movements (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  item uuid NOT NULL REFERENCES stock,
  amount double precision NOT NULL CHECK (amount <> 0),
  why text NOT NULL CHECK (why IN ('bought', 'counted', 'reserved', 'fitted', 'used', 'returned', 'scrapped')),
  decision uuid REFERENCES decisions,
  entry uuid REFERENCES ledger,
  note text NOT NULL DEFAULT '',
  person uuid REFERENCES people,
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  write_id uuid
);
CREATE INDEX movements_of ON movements (item);
INSERT INTO movements (item, amount, why)
  SELECT id, (document->>'quantity')::double precision, 'counted' FROM stock WHERE (document->>'quantity')::double precision > 0;
ALTER TABLE stock DROP CONSTRAINT stock_document_check, ADD COLUMN archived boolean NOT NULL DEFAULT false;
UPDATE stock SET document = document - 'quantity';
CREATE TRIGGER movements_rows BEFORE UPDATE OR DELETE ON movements FOR EACH ROW EXECUTE FUNCTION refuse_change();
CREATE TRIGGER movements_whole BEFORE TRUNCATE ON movements FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
`;
