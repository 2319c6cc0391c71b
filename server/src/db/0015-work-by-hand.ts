import type { Knex } from 'knex';

/** Work that is put in by hand belongs to no decision: its line, its minutes and what it comes after and before are its own. */
export const workByHand = {
  name: '0015-work-by-hand',
  async up(db: Knex): Promise<void> {
    await db.raw(`
ALTER TABLE operations ALTER COLUMN decision DROP NOT NULL;
ALTER TABLE operations ADD COLUMN own jsonb;
ALTER TABLE operations ADD CONSTRAINT operations_of_whom CHECK (decision IS NOT NULL OR source->>'of' = 'hand');
`);
  },
};
