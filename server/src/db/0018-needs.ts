import type { Knex } from 'knex';

/** What each job's plan needs, as it was worked out last, and of which state of plan, instrument and decisions: the buy list adds these up. */
export const needs = {
  name: '0018-needs',
  async up(db: Knex): Promise<void> {
    await db.raw('CREATE TABLE needs (job uuid PRIMARY KEY REFERENCES jobs, of text NOT NULL, needs jsonb NOT NULL)');
  },
};
