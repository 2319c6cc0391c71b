import Papa from 'papaparse';

/** What can be wrong with a table whatever stands in it. */
export type TableFault = 'tooManyLines' | 'unclosedQuote' | 'surplusCells';

/** A line of a table by its columns; where in the file it begins (the header is line 1), and what stands beyond the last column. */
export interface TableRow<C extends string> {
  readonly line: number;
  readonly cells: Readonly<Partial<Record<C, string>>>;
  readonly surplus: string;
}

/** A quote that is not closed, or one that ends before its cell does: in which line it began. */
export interface BrokenQuote {
  readonly line: number;
  readonly saw: string;
}

export interface Table<C extends string> {
  readonly columns: readonly C[];
  readonly rows: readonly TableRow<C>[];
  readonly broken: BrokenQuote | null;
  /** The file goes on after the most lines that are read. */
  readonly isLonger: boolean;
}

/** Reads RFC 4180 text, commas or semicolons, a byte order mark or none, at most so many lines; empty lines are skipped and counted. Never throws. */
export function readTable<C extends string>(text: string, columnOf: (header: string) => C, most: number): Table<C> {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { preview: most + 2 });
  const lines: { readonly line: number; readonly cells: readonly string[] }[] = [];
  let line = 1;
  for (const cells of data) {
    lines.push({ line, cells });
    line += 1 + cells.reduce((n, c) => n + (c.match(/\n|\r(?!\n)/g)?.length ?? 0), 0);
  }
  const filled = lines.filter(({ cells }) => cells.some((c) => c.trim() !== ''));
  const [header, ...rest] = filled;
  const columns = (header?.cells ?? []).map(columnOf);
  const quote = errors.find((e) => e.type === 'Quotes');
  const at = quote && lines[quote.row ?? 0];
  return {
    columns,
    rows: rest.slice(0, most).map(({ line: l, cells }) => ({
      line: l,
      cells: Object.fromEntries(columns.map((c, i) => [c, cells[i] ?? ''])) as Partial<Record<C, string>>,
      surplus: cells
        .slice(columns.length)
        .filter((c) => c.trim() !== '')
        .join(', '),
    })),
    broken: quote ? { line: at?.line ?? 1, saw: (at?.cells.find((c) => c.includes('\n')) ?? at?.cells[0] ?? '').slice(0, 40) } : null,
    isLonger: rest.length > most,
  };
}

/** A number as people write it, with a point or a comma; null for anything else, hexadecimals, infinities and nothing among it. */
export function plainNumber(text: string): number | null {
  return /^[+-]?(\d+[.,]?\d*|[.,]\d+)(e[+-]?\d{1,3})?$/i.test(text) ? Number(text.replace(',', '.')) : null;
}
