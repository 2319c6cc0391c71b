import type { Consent } from '@rinnovo/core/job';
import { withNewNames } from '@rinnovo/core/upgrade';
import type { Knex } from 'knex';

type Row = Omit<Consent, 'at' | 'price'> & { readonly at: Date; readonly price: string };

const COLUMNS = ['id', 'job', 'decision', 'how', 'said', 'price', 'options', 'person', 'at'] as const;

/** What owners agreed to of some decisions, oldest first. */
export async function consentsOf(db: Knex, decisions: readonly string[]): Promise<readonly Consent[]> {
  const rows = (await db('consents')
    .whereIn('decision', [...decisions])
    .orderBy('at')
    .select(...COLUMNS)) as Row[];
  return rows.map((r) => ({ ...r, options: withNewNames(r.options) as Consent['options'], price: Number(r.price), at: r.at.toISOString() }));
}

/** Does somebody outside the workshop own the instrument? Then its owner is asked before anything is cut. */
export async function isClients(db: Knex, instrument: string): Promise<boolean> {
  const row = (await db('instruments as i').join('people as p', 'p.id', 'i.owner').where('i.id', instrument).first('p.role')) as { role: string } | undefined;
  return row?.role === 'owner';
}
