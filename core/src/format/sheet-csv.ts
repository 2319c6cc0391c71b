import Papa from 'papaparse';

/** A line of a test sheet as a table has it, in words. */
export interface SheetCsvRow {
  readonly stage: string;
  readonly line: string;
  readonly target: string;
  readonly reading: string;
  readonly by: string;
  readonly result: string;
  readonly meaning: string;
}

/** The test sheet as RFC 4180 text; text that a spreadsheet would run as a formula is led by an apostrophe. */
export function sheetCsv(rows: readonly SheetCsvRow[]): string {
  const cells = rows.map((r) => [r.stage, r.line, r.target, r.reading, r.by, r.result, r.meaning]);
  return `${Papa.unparse([['stage', 'measure', 'target', 'reading', 'read with', 'result', 'meaning'], ...cells], { escapeFormulae: true, newline: '\r\n' })}\r\n`;
}
