import type { KeptStock } from '@rinnovo/contract';
import type { Movement } from '@rinnovo/core/job';
import type { StockItem } from '@rinnovo/core/part';
import type { Knex } from 'knex';

export interface StockRow {
  readonly id: string;
  /** How many there are is the sum of what moved. */
  readonly document: Omit<StockItem, 'quantity' | 'reserved'>;
  readonly version: number;
  readonly archived: boolean;
  readonly quantity: number;
  readonly reserved: Readonly<Record<string, number>>;
}

/** Most rows that the drawers hold. */
export const MOST_STOCK = 20_000;

export function keptStock(r: StockRow): KeptStock {
  return { item: { ...r.document, quantity: r.quantity } as StockItem, version: r.version, reserved: r.reserved };
}

const HELD = `
SELECT stock.id, stock.document, stock.version, stock.archived, coalesce(m.quantity, 0) AS quantity, coalesce(r.reserved, '{}') AS reserved
FROM stock
LEFT JOIN (SELECT item, sum(amount) AS quantity FROM movements WHERE why <> 'reserved' GROUP BY item) m ON m.item = stock.id
LEFT JOIN (
  SELECT item, jsonb_object_agg(decision, amount) AS reserved
  FROM (SELECT item, decision, sum(amount) AS amount FROM movements WHERE why = 'reserved' GROUP BY item, decision HAVING sum(amount) > 0) d
  GROUP BY item
) r ON r.item = stock.id
`;

/** Everything in the drawers that is not archived. */
export async function stockRows(db: Knex): Promise<readonly StockRow[]> {
  const { rows } = (await db.raw(`${HELD} WHERE NOT stock.archived ORDER BY stock.id LIMIT ?`, [MOST_STOCK])) as { rows: StockRow[] };
  return rows;
}

/** One item, locked; archived ones too. */
export async function lockStock(trx: Knex.Transaction, id: string): Promise<StockRow | null> {
  await trx('stock').where({ id }).forNoKeyUpdate().first('id');
  const { rows } = (await trx.raw(`${HELD} WHERE stock.id = ?`, [id])) as { rows: StockRow[] };
  return rows[0] ?? null;
}

/** What lies in all drawers, and for which decisions it is kept. */
export async function allStock(db: Knex): Promise<readonly StockItem[]> {
  return (await stockRows(db)).map((r) => ({ ...r.document, quantity: r.quantity, reserved: r.reserved }) as StockItem);
}

/** A movement as it is written down: by whom, with which write. */
export interface MovementRow extends Movement {
  readonly person: string;
  readonly write_id: string;
}

/** Writes down what an item was counted to; its own write makes its version. */
export async function countTo(trx: Knex.Transaction, movement: MovementRow): Promise<void> {
  if (movement.amount !== 0) await trx('movements').insert(movement);
}

/** Writes movements down; whoever has read an item before reads it again. */
export async function addMovements(trx: Knex.Transaction, movements: readonly MovementRow[]): Promise<void> {
  const some = movements.filter((m) => m.amount !== 0);
  if (some.length === 0) return;
  await trx('movements').insert([...some]);
  await trx('stock')
    .whereIn(
      'id',
      some.map((m) => m.item),
    )
    .increment('version', 1);
}
