import type { KeptStock } from '@rinnovo/contract';
import type { StockItem } from '@rinnovo/core/part';
import type { Knex } from 'knex';

export interface StockRow {
  readonly id: string;
  readonly document: StockItem;
  readonly version: number;
}

/** Most rows that the drawers hold. */
export const MOST_STOCK = 20_000;

export function keptStock(r: StockRow): KeptStock {
  return { item: r.document, version: r.version };
}

/** What lies in all drawers. */
export async function allStock(db: Knex): Promise<readonly StockItem[]> {
  const rows = (await db('stock').orderBy('id').limit(MOST_STOCK)) as StockRow[];
  return rows.map((r) => r.document);
}
