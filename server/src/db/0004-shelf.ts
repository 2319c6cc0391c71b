import type { Knex } from 'knex';

/** Parts can be put away; what lies in the drawers is counted apart from what a part is. */
export const shelf = {
  name: '0004-shelf',
  async up(db: Knex): Promise<void> {
    await db.raw(SQL);
  },
};

const SQL = `
CREATE TABLE stock (
  id uuid PRIMARY KEY,
  document jsonb NOT NULL CHECK ((document->>'quantity')::double precision >= 0),
  version integer NOT NULL DEFAULT 1,
  write_id uuid
);
INSERT INTO stock (id, document)
  SELECT s.id, jsonb_build_object('id', s.id, 'kind', 'part', 'part', s.part, 'quantity', 1, 'drawer', '')
  FROM (SELECT gen_random_uuid() AS id, id AS part FROM parts WHERE (document->>'inStock')::boolean) AS s;
ALTER TABLE parts ADD COLUMN away boolean NOT NULL DEFAULT false;
UPDATE parts SET document = document - 'inStock';
`;
