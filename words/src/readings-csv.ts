import type { CsvFault, CsvProblem } from '@rinnovo/core/format';

const CSV_FAULTS: Readonly<Record<CsvFault, (p: CsvProblem) => string>> = {
  noTable: () => 'This file has no table',
  noColumn: (p) => `column ${p.column} is missing; quantity, feature and value are required`,
  unknownQuantity: (p) => `${p.saw || 'nothing'} is not a known quantity`,
  noSuchPlace: (p) => `${p.saw || 'nothing'} is not a place on this instrument`,
  notANumber: (p) => `${p.saw || 'nothing'} is not a number`,
  cannotBe: (p) => `${p.saw} is not possible`,
  tooManyLines: (p) => `the file has more than ${p.saw} lines. Split it`,
  unclosedQuote: (p) => `a quotation mark is not closed${p.saw === '' ? '' : ` (${p.saw.replace(/\s+/g, ' ')})`}. No line of the file was read`,
  surplusCells: (p) => `more cells than columns (${p.saw}). A number with a comma needs quotes`,
  unknownTool: (p) => `${p.saw || 'no calliper'} is not a measuring tool of this workshop. Add it under Tools, or name another`,
  otherUnit: (p) => `${p.saw} is not the stored unit; convert the value first`,
};

/** Why a reading of a file is kept as less sure than its tool. */
export const AS_THE_FILE_SAYS = 'as the imported file says';

/** What is wrong in a line of a table of readings. */
export function csvProblemText(p: CsvProblem): string {
  return `Line ${p.line}: ${CSV_FAULTS[p.fault](p)}`;
}
