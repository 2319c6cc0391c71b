import Papa from 'papaparse';

/** A line of the buy list as a table has it. */
export interface BuyRow {
  readonly what: string;
  readonly need: number;
  readonly have: number;
  readonly buy: number;
  readonly price: number | null;
  readonly leadDays: number | null;
  /** What waits for it, in words. */
  readonly holds: string;
}

/** The buy list as RFC 4180 text; text that a spreadsheet would run as a formula is led by an apostrophe. */
export function buyCsv(rows: readonly BuyRow[]): string {
  const cells = rows.map((r) => [r.what, r.need, r.have, r.buy, r.price === null ? '' : (r.price / 100).toFixed(2), r.leadDays ?? '', r.holds]);
  return `${Papa.unparse([['item', 'needed', 'in stock', 'to buy', 'price', 'delivery days', 'instrument and job'], ...cells], { escapeFormulae: true, newline: '\r\n' })}\r\n`;
}
