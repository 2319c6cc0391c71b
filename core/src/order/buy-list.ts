import type { Choice } from '../check/index.js';
import { lackKey, replacementOf, stockOf, type Lack, type Shelf, type StockItem } from '../part/index.js';

/** What one choice of a job needs: its part unless that is there already, and what was missing in the shop when it was decided. */
export interface Need {
  readonly job: string;
  readonly choice: Pick<Choice, 'id' | 'part' | 'returns' | 'count'>;
  /** The part sits there already. */
  readonly fitted: boolean;
  readonly lacks: readonly Lack[];
}

/** One thing to buy: how many are needed, how many are there, when it would be here, and what waits for it. */
export interface BuyLine {
  readonly what: Lack;
  readonly need: number;
  readonly have: number;
  readonly buy: number;
  /** For all that is to be bought, in the smallest coin; null where nobody knows. */
  readonly price: number | null;
  readonly leadDays: number | null;
  /** The places of which jobs wait for it. */
  readonly holds: readonly { readonly job: string; readonly choice: string }[];
}

/**
 * What the plans need less what is in the drawers, the longest wait first: it is ordered today. A part that is not made any more is bought as what replaces it.
 * Two pots needed and one in the drawer: one to buy [law].
 */
export function buyList(needs: readonly Need[], shelf: Shelf, stock: readonly StockItem[]): readonly BuyLine[] {
  const called = ({ what }: BuyLine): string => (what.kind === 'part' ? (shelf[what.part]?.name ?? what.part) : lackKey(what));
  return [...partLines(needs, shelf, stock), ...otherLines(needs)].sort(
    (a, b) => (b.leadDays ?? Infinity) - (a.leadDays ?? Infinity) || called(a).localeCompare(called(b)),
  );
}

function partLines(needs: readonly Need[], shelf: Shelf, stock: readonly StockItem[]): readonly BuyLine[] {
  const byPart = new Map<string, { count: number; holds: { job: string; choice: string }[] }>();
  for (const { job, choice, fitted } of needs) {
    if (choice.part === null || fitted || choice.returns || !shelf[choice.part]) continue;
    const id = stockOf(stock, choice.part) > 0 ? choice.part : replacementOf(choice.part, shelf);
    const line = byPart.get(id) ?? { count: 0, holds: [] };
    line.count += choice.count ?? 1;
    line.holds.push({ job, choice: choice.id });
    byPart.set(id, line);
  }
  return [...byPart].flatMap(([id, { count, holds }]): readonly BuyLine[] => {
    const part = shelf[id];
    const have = stockOf(stock, id);
    const buy = Math.max(0, count - have);
    if (!part || buy === 0) return [];
    const price = part.price > 0 ? part.price * buy : null;
    return [{ what: { kind: 'part', part: id }, need: count, have, buy, price, leadDays: part.leadDays ?? null, holds }];
  });
}

/** Tools, dowels, sleeves and the like: each once. The parts among them are counted above. */
function otherLines(needs: readonly Need[]): readonly BuyLine[] {
  const lines = new Map<string, { what: Lack; holds: { job: string; choice: string }[] }>();
  for (const { job, choice, lacks } of needs)
    for (const what of lacks) {
      if (what.kind === 'part') continue;
      const line = lines.get(lackKey(what)) ?? { what, holds: [] };
      line.holds.push({ job, choice: choice.id });
      lines.set(lackKey(what), line);
    }
  return [...lines.values()].map(({ what, holds }) => ({ what, need: 1, have: 0, buy: 1, price: null, leadDays: null, holds }));
}
