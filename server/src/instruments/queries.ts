import { plainInstrument, type FoundInstrument, type Instrument } from '@rinnovo/contract';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';

export interface InstrumentRow extends Instrument {
  readonly version: number;
}

type FoundRow = InstrumentRow & Pick<FoundInstrument, 'ownerName' | 'job'>;

export const toFound = (r: FoundRow): FoundInstrument => ({ ...plainInstrument(r), ownerName: r.ownerName, job: r.job });

export interface Wanted {
  /** Every word of it stands in the label, maker, model, serial, notes, or the owner's name. */
  readonly find: string;
  readonly archived: boolean;
  readonly after: readonly string[] | null;
  readonly limit: number;
}

/** Instruments by label, from after the given one. */
export function instrumentsAfter(db: Knex, { find, archived, after, limit }: Wanted): Promise<FoundRow[]> {
  const query = db('instruments as i')
    .leftJoin('people as p', 'p.id', 'i.owner')
    .leftJoin('jobs as j', (on) => on.on('j.instrument', 'i.id').andOnVal('j.active', true))
    .where('i.archived', archived)
    .orderBy([{ column: 'i.label' }, { column: 'i.id' }])
    .limit(limit + 1)
    .select('i.*', 'p.name as ownerName', 'j.title as job');
  for (const word of find.toLowerCase().split(/\s+/).filter(Boolean)) {
    const like = `%${word.replace(/[\\%_]/g, (c) => `\\${c}`)}%`;
    void query.where((q) => {
      void q.whereLike('i.search', like).orWhereRaw('lower(p.name) LIKE ?', [like]);
    });
  }
  if (after) void query.whereRaw('(i.label, i.id::text) > (?, ?)', [after[0] ?? '', after[1] ?? '']);
  return query as unknown as Promise<FoundRow[]>;
}

export async function instrumentById(db: Knex, id: string): Promise<InstrumentRow> {
  const row = (await db<InstrumentRow>('instruments').where({ id }).first()) as InstrumentRow | undefined;
  if (!row) throw new ProblemError('not-found', { detail: 'No instrument has that id.' });
  return row;
}
