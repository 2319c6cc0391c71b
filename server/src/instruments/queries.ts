import type { Instrument } from '@rinnovo/contract';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';

export interface InstrumentRow extends Instrument {
  readonly version: number;
}

export function toInstrument(r: InstrumentRow): Instrument {
  return { id: r.id, label: r.label, maker: r.maker, model: r.model, serial: r.serial, owner: r.owner, notes: r.notes };
}

/** Instruments by label, from after the given one. */
export function instrumentsAfter(db: Knex, after: readonly string[] | null, limit: number): Promise<InstrumentRow[]> {
  const query = db<InstrumentRow>('instruments')
    .orderBy([{ column: 'label' }, { column: 'id' }])
    .limit(limit + 1);
  if (after) void query.whereRaw('(label, id::text) > (?, ?)', [after[0] ?? '', after[1] ?? '']);
  return query as unknown as Promise<InstrumentRow[]>;
}

export async function instrumentById(db: Knex, id: string): Promise<InstrumentRow> {
  const row = (await db<InstrumentRow>('instruments').where({ id }).first()) as InstrumentRow | undefined;
  if (!row) throw new ProblemError('not-found', { detail: 'No instrument has that id.' });
  return row;
}
