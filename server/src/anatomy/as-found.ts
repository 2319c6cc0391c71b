import type { AsFound } from '@rinnovo/contract';
import type { AnyTarget } from '@rinnovo/core/quantity';
import { changesByWork } from '@rinnovo/core/record';
import type { Knex } from 'knex';
import { anatomyOf, anatomiesOf } from './queries.js';
import { withDimensionHidden } from './withhold.js';

/**
 * An instrument as it was found, and what work has changed on it since. As found ends where work that stands begins: until then whatever is measured and drawn
 * is how it was found.
 */
export async function asFound(db: Knex, instrument: string, hidden: readonly AnyTarget[]): Promise<AsFound> {
  const rows = (await db('revisions as r')
    .leftJoin('ledger_corrections as c', 'c.entry', 'r.entry')
    .where({ instrument, aspect: 'anatomy', cause: 'work' })
    .whereNull('c.id')
    .orderBy('revision')
    .select('revision')) as { revision: number }[];
  const worked = rows.map((r) => r.revision);
  const found = await anatomyOf(db, instrument, worked[0] === undefined ? undefined : worked[0] - 1);
  const documents = await anatomiesOf(db, instrument, [...new Set(worked.flatMap((n) => [n - 1, n]))]);
  const shown = (n: number) => {
    const document = documents.get(n);
    return document ? [withDimensionHidden(document, hidden)] : [];
  };
  const steps = worked.flatMap((n) => shown(n - 1).flatMap((before) => shown(n).map((after) => ({ before, after }))));
  return { found: { ...found, document: withDimensionHidden(found.document, hidden) }, changes: changesByWork(steps) };
}
