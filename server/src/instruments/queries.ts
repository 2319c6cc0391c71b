import { plainInstrument, type FoundInstrument, type Instrument } from '@rinnovo/contract';
import type { Knex } from 'knex';
import { likeOf, mentionsOf, mentionsWord } from './mentions.js';
import { progressOf } from './progress.js';
import { ProblemError } from '../http/problems.js';

export interface InstrumentRow extends Instrument {
  readonly version: number;
}

type FoundRow = InstrumentRow & Pick<FoundInstrument, 'ownerName' | 'job' | 'due'> & { readonly jobId: string | null };

export interface Wanted {
  /** Every word of it stands in the label, maker, model, serial, notes, the owner's name, or in what was said of it anywhere. */
  readonly find: string;
  readonly archived: boolean;
  readonly after: readonly string[] | null;
  readonly limit: number;
}

/** Instruments by label, from after the given one, one more than asked for where there are more; with where the words were found. */
export async function instrumentsAfter(db: Knex, { find, archived, after, limit }: Wanted): Promise<readonly FoundInstrument[]> {
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const query = db('instruments as i')
    .leftJoin('people as p', 'p.id', 'i.owner')
    .leftJoin('jobs as j', (on) => on.on('j.instrument', 'i.id').andOnVal('j.active', true))
    .where('i.archived', archived)
    .orderBy([{ column: 'i.label' }, { column: 'i.id' }])
    .limit(limit + 1)
    .select('i.*', 'p.name as ownerName', 'j.title as job', 'j.id as jobId', db.raw(`j.limits->>'due' as due`));
  for (const word of words) {
    const [sql, bound] = mentionsWord(word);
    // each of the three by its own index, together by their ids
    const called = db('instruments').whereLike('search', likeOf(word)).select('id');
    const owned = db('instruments as x')
      .join('people as y', 'y.id', 'x.owner')
      .whereRaw('lower(y.name) LIKE ?', [likeOf(word)])
      .select('x.id');
    const said = db('mentions')
      .whereRaw(sql, [...bound])
      .select('instrument');
    void query.whereIn('i.id', called.union([owned, said]));
  }
  if (after) void query.whereRaw('(i.label, i.id::text) > (?, ?)', [after[0] ?? '', after[1] ?? '']);
  const rows = (await query) as unknown as FoundRow[];
  const found = await mentionsOf(
    db,
    rows.map((r) => r.id),
    words,
  );
  const progress = await progressOf(
    db,
    rows.flatMap((r) => r.jobId ?? []),
  );
  return rows.map((r) => ({
    ...plainInstrument(r),
    ownerName: r.ownerName,
    job: r.job,
    due: r.due,
    progress: progress.get(r.jobId ?? '') ?? null,
    found: found.get(r.id) ?? [],
  }));
}

export async function instrumentById(db: Knex, id: string): Promise<InstrumentRow> {
  const row = (await db<InstrumentRow>('instruments').where({ id }).first()) as InstrumentRow | undefined;
  if (!row) throw new ProblemError('not-found', { detail: 'No instrument has that id.' });
  return row;
}
