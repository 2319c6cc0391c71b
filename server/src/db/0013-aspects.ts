import type { Knex } from 'knex';

/** A column that told a revision of the anatomy tells every aspect: nothing was known of the others. */
const asVector = (table: string): string => `
ALTER TABLE ${table} ALTER COLUMN revision TYPE jsonb USING jsonb_build_object('anatomy', revision, 'circuit', 0, 'strung', 0, 'surface', 0);
ALTER TABLE ${table} RENAME COLUMN revision TO revisions;
`;

/** An instrument is known by four aspects, each with revisions of its own: the anatomy's move in, and what named one names all. The ledger keeps its bytes: its revisions are the anatomy's. */
export const aspects = {
  name: '0013-aspects',
  async up(db: Knex): Promise<void> {
    await db.raw(`
ALTER TABLE anatomy_revisions RENAME TO revisions;
ALTER TABLE revisions ADD COLUMN aspect text NOT NULL DEFAULT 'anatomy' CHECK (aspect IN ('anatomy', 'circuit', 'strung', 'surface'));
ALTER TABLE revisions ALTER COLUMN aspect DROP DEFAULT;
ALTER TABLE revisions DROP CONSTRAINT anatomy_revisions_document_check;
ALTER TABLE revisions ADD CONSTRAINT revisions_document_check CHECK (aspect <> 'anatomy' OR document->>'format' IN ('1', '2'));
ALTER TABLE revisions DROP CONSTRAINT anatomy_revisions_pkey;
ALTER TABLE revisions ADD PRIMARY KEY (instrument, aspect, revision);
${['plans', 'decisions', 'clearances'].map(asVector).join('')}
`);
  },
};
