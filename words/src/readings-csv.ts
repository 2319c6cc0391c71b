import type { CsvFault, CsvProblem } from '@rinnovo/core/format';

const CSV_FAULTS: Readonly<Record<CsvFault, (p: CsvProblem) => string>> = {
  noTable: () => 'There is no table in this file',
  noColumn: (p) => `There is no column ${p.column}; quantity, feature and value are needed`,
  unknownQuantity: (p) => `${p.saw || 'nothing'} is no quantity that is read here`,
  noSuchPlace: (p) => `${p.saw || 'nothing'} is no place on this instrument`,
  notANumber: (p) => `${p.saw || 'nothing'} is not a number`,
  cannotBe: (p) => `${p.saw} cannot be`,
  otherUnit: (p) => `${p.saw} is not the unit in which it is kept: convert it first`,
};

/** What is wrong in a line of a table of readings. */
export function csvProblemText(p: CsvProblem): string {
  return `Line ${p.line}: ${CSV_FAULTS[p.fault](p)}`;
}
