import { targetKey } from '@rinnovo/core/quantity';
import { newId, newKind, newSettings, upgradeChoice, upgradePart, upgradePlan, upgradeTarget, withNewNames } from '@rinnovo/core/upgrade';
import type { Knex } from 'knex';

/**
 * One name for each thing: rows that may change are written under today's names. Readings, the ledger, anatomy revisions, consents and
 * signed surveys keep their bytes, and are read under today's names each time.
 */
export const plainNames = {
  name: '0008-plain-names',
  async up(db: Knex): Promise<void> {
    await db.raw(COLUMNS);
    await each(db, 'parts', 'id', ({ document }) => ({ document: upgradePart(document) }));
    await each(db, 'plans', 'job', ({ document }) => ({ document: upgradePlan(document) }));
    await db.raw(FORMATS);
    await each(db, 'decisions', 'id', (r) => ({
      option: newId(String(r['option'])),
      chosen: upgradeChoice(r['chosen'], newId(String(r['option']))),
      options: withNewNames(r['options']),
    }));
    await each(db, 'clearances', 'id', (r) => ({
      accepted: withNewNames(r['accepted']),
      numbers: withNewNames(r['numbers']),
      ...(r['chosen'] === null ? {} : { chosen: upgradeChoice(r['chosen']) }),
    }));
    await each(db, 'operations', 'id', (r) => ({ kind: newKind(String(r['kind'])) }));
    await each(db, 'instruments', 'id', (r) => ({ identity: withNewNames(r['identity']) }));
    await each(db, 'profiles', 'id', (r) => ({ values: withNewNames(r['values']) }));
    await each(db, 'shop', 'one', (r) => ({ own: newSettings(r['own'] as Record<string, unknown>) }));
    await each(db, 'blind_sessions', 'id', (r) => {
      const target = upgradeTarget(r['target']);
      return { target, target_key: targetKey(target) };
    });
  },
};

const COLUMNS = `
ALTER TABLE jobs RENAME COLUMN wish TO request;
ALTER TABLE surveys RENAME COLUMN wanted TO work;
ALTER TABLE findings RENAME COLUMN says TO text;
ALTER TABLE parts RENAME COLUMN away TO archived;
ALTER TABLE outlines RENAME COLUMN away TO archived;
ALTER TABLE profiles RENAME COLUMN away TO archived;
ALTER TABLE photographs RENAME COLUMN away TO removed;
ALTER TABLE parts DROP CONSTRAINT parts_document_check;
ALTER TABLE plans DROP CONSTRAINT plans_document_check;
ALTER TABLE anatomy_revisions DROP CONSTRAINT anatomy_revisions_document_check;
`;

const FORMATS = `
ALTER TABLE parts ADD CONSTRAINT parts_document_check CHECK (document->>'format' = '2');
ALTER TABLE plans ADD CONSTRAINT plans_document_check CHECK (document->>'format' IN ('3', '4', '5'));
ALTER TABLE anatomy_revisions ADD CONSTRAINT anatomy_revisions_document_check CHECK (document->>'format' IN ('1', '2'));
`;

type Row = Readonly<Record<string, unknown>>;

/** Every row of a table with some columns under today's names; plain data are kept as JSON. */
async function each(db: Knex, table: string, key: string, renamed: (row: Row) => Row): Promise<void> {
  for (const row of (await db(table).select()) as Row[]) {
    const now = Object.entries(renamed(row)).map(([column, v]) => [column, typeof v === 'string' ? v : JSON.stringify(v)] as const);
    await db(table)
      .where({ [key]: row[key] })
      .update(Object.fromEntries(now));
  }
}
