import type { Knex } from 'knex';

/** A reading that is coarser than its tool, or taken with another than was zeroed, says why; a session knows who ended it and why. */
export const reasons = {
  name: '0017-reasons',
  async up(db: Knex): Promise<void> {
    await db.raw(`
ALTER TABLE readings ADD COLUMN why text CHECK (length(why) BETWEEN 1 AND 200);
ALTER TABLE blind_sessions ADD COLUMN ended_by uuid REFERENCES people;
ALTER TABLE blind_sessions ADD COLUMN end_reason text CHECK (length(end_reason) BETWEEN 1 AND 200);
`);
  },
};
