import { randomUUID } from 'node:crypto';
import { freeOf, type Move } from '@rinnovo/core/part';
import type { Knex } from 'knex';
import { addMovements, allStock, type MovementRow } from './queries.js';

/** Who moves what, for which decision; `entry`: the step that does it. */
export interface Taking {
  readonly decision: string;
  readonly person: string;
  readonly writeId: string;
}

const by = ({ decision, person, writeId }: Taking): Pick<MovementRow, 'decision' | 'person' | 'write_id'> => ({ decision, person, write_id: writeId });

/** The drawer of a part that has most of it; null where there is none. */
async function drawerOf(trx: Knex.Transaction, part: string): Promise<string | null> {
  const all = (await allStock(trx)).filter((s) => s.kind === 'part' && s.part === part);
  return all.reduce<(typeof all)[number] | null>((w, s) => (w && w.quantity >= s.quantity ? w : s), null)?.id ?? null;
}

/** A decision keeps its part, where one is free: the next one that wants it has to buy it. */
export async function reserve(trx: Knex.Transaction, part: string | null, taking: Taking): Promise<void> {
  if (part === null || freeOf(await allStock(trx), part) <= 0) return;
  const item = await drawerOf(trx, part);
  if (item) await addMovements(trx, [{ item, amount: 1, why: 'reserved', ...by(taking) }]);
}

/** What a decision kept and did not take is free again. */
export async function release(trx: Knex.Transaction, taking: Taking): Promise<void> {
  const kept = (await trx('movements').where({ decision: taking.decision, why: 'reserved' }).groupBy('item').select('item').sum('amount as amount')) as {
    item: string;
    amount: number;
  }[];
  await addMovements(
    trx,
    kept.map(({ item, amount }): MovementRow => ({ item, amount: -amount, why: 'reserved', ...by(taking) })),
  );
}

/** A part that is here though no drawer says so: the count is put right, with the reason. */
export async function countOne(trx: Knex.Transaction, part: string, note: string, taking: Taking): Promise<void> {
  let item = await drawerOf(trx, part);
  if (item === null) {
    item = randomUUID();
    await trx('stock').insert({ id: item, document: JSON.stringify({ id: item, kind: 'part', part, drawer: '' }), write_id: taking.writeId });
  }
  await addMovements(trx, [{ item, amount: 1, why: 'counted', note, ...by(taking) }]);
}

/** What a step takes from the drawers, and what it brings back of what this job took from them. */
export async function moveParts(trx: Knex.Transaction, job: string, moves: readonly Move[], entry: string, taking: Taking): Promise<void> {
  for (const move of moves) {
    if ('item' in move) {
      await useUp(trx, move, entry, taking);
      continue;
    }
    const item = move.amount < 0 ? await drawerOf(trx, move.part) : await takenFrom(trx, job, move.part);
    if (item === null) continue;
    await addMovements(trx, [{ item, amount: move.amount, why: move.why, entry, ...by(taking) }]);
    if (move.amount < 0) await release(trx, taking);
  }
}

/**
 * What a step moved goes back: of every movement of its write the opposite, on the word of its entry. What it counted in is here all the same.
 * False where a drawer no longer holds what it brought: then nothing may be kept.
 */
export async function moveBack(trx: Knex.Transaction, entry: string, write: string, { person, writeId }: Omit<Taking, 'decision'>): Promise<boolean> {
  const moved = (await trx('movements').where({ write_id: write }).whereNot({ why: 'counted' }).select('item', 'amount', 'why', 'decision')) as Pick<
    MovementRow,
    'item' | 'amount' | 'why' | 'decision'
  >[];
  await addMovements(
    trx,
    moved.map((m): MovementRow => ({ ...m, amount: -m.amount, entry, person, write_id: writeId })),
  );
  const held = await allStock(trx);
  return moved.every((m) => (held.find((s) => s.id === m.item)?.quantity ?? 0) >= 0);
}

/** What is used up of what lies in one drawer; never more than the drawer says is there. */
async function useUp(trx: Knex.Transaction, move: Extract<Move, { readonly item: string }>, entry: string, taking: Taking): Promise<void> {
  const there = (await allStock(trx)).find((s) => s.id === move.item)?.quantity ?? 0;
  const amount = Math.max(-there, move.amount);
  if (amount !== 0) await addMovements(trx, [{ item: move.item, amount, why: move.why, entry, ...by(taking) }]);
}

/** The drawer that a job took a part from and has not brought it back to. */
async function takenFrom(trx: Knex.Transaction, job: string, part: string): Promise<string | null> {
  const found = (await trx('movements')
    .join('ledger', 'ledger.id', 'movements.entry')
    .join('stock', 'stock.id', 'movements.item')
    .where('ledger.job', job)
    .whereIn('movements.why', ['fitted', 'returned'])
    .whereRaw(`stock.document->>'part' = ?`, [part])
    .groupBy('movements.item')
    .havingRaw('sum(movements.amount) < 0')
    .first('movements.item')) as { item: string } | undefined;
  return found?.item ?? null;
}
