import { upgradeChoice, upgradePlan } from '@rinnovo/core/upgrade';
import type { Knex } from 'knex';

/** A cut by itself is a kind of choice of its own; it was hardware without a part. */
export const cutsApart = {
  name: '0012-cuts-apart',
  async up(db: Knex): Promise<void> {
    for (const table of ['decisions', 'clearances'])
      for (const { id, chosen } of (await db(table).whereNotNull('chosen').select('id', 'chosen')) as { id: string; chosen: unknown }[])
        await db(table)
          .where({ id })
          .update({ chosen: JSON.stringify(upgradeChoice(chosen)) });
    await db.raw('ALTER TABLE plans DROP CONSTRAINT plans_document_check');
    for (const { job, document } of (await db('plans').select('job', 'document')) as { job: string; document: unknown }[])
      await db('plans')
        .where({ job })
        .update({ document: JSON.stringify(upgradePlan(document)) });
    await db.raw(`ALTER TABLE plans ADD CONSTRAINT plans_document_check CHECK (document->>'format' = '5')`);
  },
};
