import type { Mention } from '@rinnovo/contract';
import type { Knex } from 'knex';

/** A per cent sign and an underline as themselves. */
export const likeOf = (word: string): string => `%${word.replace(/[\\%_]/g, (c) => `\\${c}`)}%`;

/** Shorter ones are found as the beginning of a word: three letters are the least that an index of trigrams knows. */
const SHORT = 3;

/** Where a mention has a word: the condition, and what is bound into it. */
export function mentionsWord(word: string): readonly [string, readonly string[]] {
  if (word.length < SHORT && /^[\p{L}\p{N}]+$/u.test(word)) return ["to_tsvector('simple', text) @@ to_tsquery('simple', ?)", [`${word}:*`]];
  return ['lower(text) LIKE ?', [likeOf(word)]];
}

/** How many are shown of an instrument, and how long each is. */
const MOST = 3;
const LENGTH = 140;

/** Where the words were found, by instrument: at most three places of each, cut to what stands round the first word. */
export async function mentionsOf(db: Knex, instruments: readonly string[], words: readonly string[]): Promise<ReadonlyMap<string, readonly Mention[]>> {
  const out = new Map<string, Mention[]>();
  if (words.length === 0 || instruments.length === 0) return out;
  const asked = words.map(mentionsWord);
  const ranked = db('mentions')
    .whereIn('instrument', [...instruments])
    .where((q) => {
      for (const [sql, bound] of asked) void q.orWhereRaw(sql, [...bound]);
    })
    .select('instrument', 'kind', 'text', db.raw('row_number() OVER (PARTITION BY instrument ORDER BY kind, source) AS n'));
  const rows = (await db.from(ranked.as('m')).where('n', '<=', MOST).orderBy(['instrument', 'n'])) as (Mention & { instrument: string })[];
  for (const { instrument, kind, text } of rows) out.set(instrument, [...(out.get(instrument) ?? []), { kind, text: excerpt(text, words) }]);
  return out;
}

/** What stands round the first of the words: 140 letters of it, with dots where more stands. */
export function excerpt(text: string, words: readonly string[]): string {
  const plain = text.replace(/\s+/g, ' ').trim();
  if (plain.length <= LENGTH) return plain;
  const found = words.map((w) => plain.toLowerCase().indexOf(w)).filter((at) => at >= 0);
  const near = Math.max(0, Math.min((found.length === 0 ? 0 : Math.min(...found)) - Math.floor(LENGTH / 3), plain.length - LENGTH));
  // from the beginning of a word
  const start = near === 0 ? 0 : plain.indexOf(' ', near) + 1;
  return `${start > 0 ? '… ' : ''}${plain.slice(start, start + LENGTH).trim()}${start + LENGTH < plain.length ? ' …' : ''}`;
}
