import type { Consent } from '@rinnovo/core/job';
import { withNewNames } from '@rinnovo/core/upgrade';
import type { Knex } from 'knex';

type Row = Omit<Consent, 'at' | 'price' | 'withdrawn'> & {
  readonly at: Date;
  readonly price: string;
  readonly back_at: Date | null;
  readonly back_said: string;
  readonly back_person: string;
};

const COLUMNS = ['id', 'job', 'decision', 'how', 'said', 'price', 'options', 'given', 'person', 'at'].map((c) => `c.${c}`);
const TAKEN_BACK = ['w.at as back_at', 'w.said as back_said', 'w.person as back_person'];

/** What owners agreed to of some decisions, oldest first. */
export async function consentsOf(db: Knex, decisions: readonly string[]): Promise<readonly Consent[]> {
  const rows = (await db('consents as c')
    .leftJoin('consent_withdrawals as w', 'w.consent', 'c.id')
    .whereIn('c.decision', [...decisions])
    .orderBy('c.at')
    .select(...COLUMNS, ...TAKEN_BACK)) as Row[];
  return rows.map(({ back_at, back_said, back_person, ...r }) => ({
    ...r,
    options: withNewNames(r.options) as Consent['options'],
    price: Number(r.price),
    withdrawn: back_at && { at: back_at.toISOString(), said: back_said, person: back_person },
    at: r.at.toISOString(),
  }));
}
