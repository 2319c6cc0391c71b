import type { Knex } from 'knex';

/** A plan holds a choice for each place; each choice is decided and cleared by itself. */
export const choices = {
  name: '0005-choices',
  async up(db: Knex): Promise<void> {
    await db.raw(SQL);
  },
};

/** A plan of format 1 was the one choice of one pickup place. */
const AS_CHOICE = (column: string): string =>
  `(${column} - 'format') || jsonb_build_object('kind', 'pickup', 'id', ${column}->>'position', 'alternatives', '[]'::jsonb)`;

const SQL = `
ALTER TABLE plans DROP CONSTRAINT plans_document_check;
UPDATE plans SET document = jsonb_build_object('format', 2, 'choices', jsonb_build_array(${AS_CHOICE('document')}));
ALTER TABLE plans ADD CONSTRAINT plans_document_check CHECK (document->>'format' = '2');

ALTER TABLE decisions RENAME COLUMN plan TO chosen;
ALTER TABLE decisions ADD COLUMN choice text;
UPDATE decisions SET choice = chosen->>'position', chosen = ${AS_CHOICE('chosen')};
ALTER TABLE decisions ALTER COLUMN choice SET NOT NULL;
DROP INDEX one_live_decision;
CREATE UNIQUE INDEX one_live_decision ON decisions (job, choice) WHERE undone_at IS NULL;

ALTER TABLE clearances ADD COLUMN chosen jsonb;
UPDATE clearances SET chosen = plans.document->'choices'->0 FROM plans WHERE plans.job = clearances.job AND plans.version = clearances.plan_version;
`;
