import { upgradeChoice } from '@rinnovo/core/upgrade';
import type { Knex } from 'knex';

/**
 * An operation owns what it does and is unique by decision and key; the work of a choice is kept under the operations that do it. What a decision was taken for
 * tells which one that is. Done work stands in the anatomy already and needs nothing kept.
 */
export const ownWork = {
  name: '0010-own-work',
  async up(db: Knex): Promise<void> {
    await db.raw(OPERATIONS);
    const decided = (await db('decisions').select('id', 'job', 'choice', 'option', 'chosen', 'undone_at')) as Decided[];
    for (const d of decided)
      await db('decisions')
        .where({ id: d.id })
        .update({ chosen: JSON.stringify(upgradeChoice(d.chosen, d.option)) });
    const cleared = (await db('clearances').whereNotNull('chosen').select('id', 'decision', 'chosen')) as { id: string; decision: string; chosen: unknown }[];
    for (const c of cleared)
      await db('clearances')
        .where({ id: c.id })
        .update({ chosen: JSON.stringify(upgradeChoice(c.chosen, decided.find((d) => d.id === c.decision)?.option)) });
    await db.raw('ALTER TABLE plans DROP CONSTRAINT plans_document_check');
    for (const p of (await db('plans').select('job', 'document')) as { job: string; document: { choices: { id: string }[] } }[]) {
      const optionOf = (choice: string): string | undefined => decided.find((d) => d.job === p.job && d.choice === choice && d.undone_at === null)?.option;
      const choices = p.document.choices.map((c) => upgradeChoice(c, optionOf(c.id)));
      await db('plans')
        .where({ job: p.job })
        .update({ document: JSON.stringify({ ...p.document, format: 4, choices }) });
    }
    await db.raw(`ALTER TABLE plans ADD CONSTRAINT plans_document_check CHECK (document->>'format' = '4')`);
  },
};

interface Decided {
  readonly id: string;
  readonly job: string;
  readonly choice: string;
  readonly option: string;
  readonly chosen: unknown;
  readonly undone_at: Date | null;
}

const OPERATIONS = `
ALTER TABLE operations
  ADD COLUMN key text,
  ADD COLUMN source jsonb,
  ADD COLUMN subject jsonb,
  ADD COLUMN does jsonb NOT NULL DEFAULT '[]',
  ADD COLUMN lapses jsonb NOT NULL DEFAULT '[]';
UPDATE operations SET
  key = operations.kind,
  subject = jsonb_build_object('aspect', 'anatomy', 'id', operations.feature),
  source = jsonb_build_object('of', 'choice', 'id', decisions.choice)
  FROM decisions WHERE decisions.id = operations.decision;
ALTER TABLE operations
  ALTER COLUMN key SET NOT NULL,
  ALTER COLUMN source SET NOT NULL,
  ALTER COLUMN subject SET NOT NULL,
  DROP COLUMN feature,
  ADD CONSTRAINT operations_decision_key UNIQUE (decision, key);
`;
