import type { Instrument } from '@rinnovo/contract';
import { dateText, STARTING_WORDS, type PaperHead } from '@rinnovo/words';
import type { Knex } from 'knex';
import { letterheadOf } from '../shop/letterhead.js';

/** Who and what a paper is of; `at`: the day that stands on it, ISO 8601. */
export async function headOf(db: Knex, one: Instrument, at: string, more: PaperHead['about'] = []): Promise<PaperHead> {
  const { name, address } = await letterheadOf(db);
  const owner = one.owner === null ? undefined : ((await db('people').where({ id: one.owner }).first('name')) as { name: string } | undefined);
  const known: PaperHead['about'] = [
    ['Kind', STARTING_WORDS[one.kind].name],
    ['Maker', one.maker],
    ['Model', one.model],
    ['Serial', one.serial],
  ];
  return {
    workshop: name,
    address,
    owner: owner?.name ?? '',
    instrument: one.label,
    about: [...known.filter(([, value]) => value !== ''), ...more],
    date: dateText(at),
  };
}
