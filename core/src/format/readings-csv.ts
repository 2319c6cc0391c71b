import Papa from 'papaparse';
import { inUse, limitOf, type MeasuringTool, type Tool } from '../part/index.js';
import { withNewNames } from '../upgrade/index.js';
import { plainNumber, readTable, type TableFault, type TableRow } from './table.js';
import { canBe, CATALOGUE, isState, OPEN, quantityOf, type AnyTarget, type QuantityId, type StateId } from '../quantity/index.js';

/** A reading as a row of a table: who took it by name. */
export interface ReadingRow {
  readonly target: AnyTarget;
  readonly value: number | null;
  readonly limit: number;
  readonly raw: string | null;
  readonly tool: string;
  readonly person: string;
  readonly at: string;
  readonly survey: string | null;
  readonly corrects: string | null;
}

const COLUMNS = ['quantity', 'feature', 'part', 'value', 'unit', 'limit', 'typed', 'tool', 'person', 'at', 'survey', 'corrects'] as const;
type Column = (typeof COLUMNS)[number];

/** In which unit a target is kept. */
export function unitOf(t: AnyTarget): string {
  return quantityOf(t).unit;
}

/** Readings as RFC 4180 text with a header; text that a spreadsheet would run as a formula is led by an apostrophe. */
export function readingsCsv(rows: readonly ReadingRow[]): string {
  const cells = rows.map((r) => [
    r.target.quantity,
    r.target.feature,
    r.target.part ?? '',
    r.value === OPEN ? 'OL' : (r.value ?? ''),
    unitOf(r.target),
    r.limit,
    r.raw ?? '',
    r.tool,
    r.person,
    r.at,
    r.survey ?? '',
    r.corrects ?? '',
  ]);
  return `${Papa.unparse([[...COLUMNS], ...cells], { escapeFormulae: true, newline: '\r\n' })}\r\n`;
}

/** A value of a file, ready to be taken. */
export interface ImportedReading {
  readonly line: number;
  readonly target: AnyTarget;
  readonly value: number;
  readonly limit: number;
  readonly raw: string;
  readonly tool: string;
  /** The file says that it is less sure than its tool. */
  readonly coarser?: true;
}

export type CsvFault = 'noTable' | 'noColumn' | 'unknownQuantity' | 'noSuchPlace' | 'notANumber' | 'cannotBe' | 'otherUnit' | 'unknownTool' | TableFault;

/** What is wrong in which line (the header is line 1), and what stood there. */
export interface CsvProblem {
  readonly line: number;
  readonly column: Column;
  readonly fault: CsvFault;
  readonly saw: string;
}

export interface ReadCsv {
  readonly readings: readonly ImportedReading[];
  readonly problems: readonly CsvProblem[];
}

/** The largest limit of error that anything is read to: of 20 MΩ a hundredth. */
const MOST_LIMIT = 1e6;

/** Most lines of a file that is read. */
const MOST_LINES = 5000;

/**
 * Readings out of a table with at least quantity, feature and value; `there` tells which places the instrument has, `tools` what the workshop measures with: a dimension
 * is read with one of them, by its id, name or kind. Never throws: what cannot be is stated by its line.
 */
export function readReadingsCsv(text: string, there: (t: AnyTarget) => boolean, tools: readonly Tool[]): ReadCsv {
  const { columns, rows: lines, broken, isLonger } = readTable(text, (h) => h.trim().toLowerCase() as Column, MOST_LINES);
  const one = (line: number, column: Column, fault: CsvFault, saw: string): ReadCsv => ({ readings: [], problems: [{ line, column, fault, saw }] });
  const absent = (['quantity', 'feature', 'value'] as const).find((c) => !columns.includes(c));
  if (absent) return one(1, absent, lines.length === 0 ? 'noTable' : 'noColumn', columns.join(', ').slice(0, 120));
  if (broken) return one(broken.line, 'quantity', 'unclosedQuote', broken.saw);
  if (isLonger) return one(1, 'quantity', 'tooManyLines', String(MOST_LINES));
  const rows = lines.map((row) => readRow(row, there, inUse(tools)));
  return { readings: rows.flatMap((r) => ('fault' in r ? [] : [r])), problems: rows.flatMap((r) => ('fault' in r ? [r] : [])) };
}

function readRow({ cells, line, surplus }: TableRow<Column>, there: (t: AnyTarget) => boolean, tools: readonly MeasuringTool[]): ImportedReading | CsvProblem {
  const cell = (c: Column): string => (cells[c] ?? '').trim().replace(/^'(?=[=+\-@])/, '');
  const wrong = (column: Column, fault: CsvFault): CsvProblem => ({ line, column, fault, saw: cell(column).slice(0, 60) });
  if (surplus !== '') return { line, column: 'value', fault: 'surplusCells', saw: surplus.slice(0, 60) };
  const { quantity } = withNewNames({ quantity: cell('quantity') }) as { readonly quantity: string };
  if (!(quantity in CATALOGUE)) return wrong('quantity', 'unknownQuantity');
  const place = cell('part') === '' ? { feature: cell('feature') } : { feature: cell('feature'), part: cell('part') };
  const target = { quantity: quantity as StateId | QuantityId, ...place } as AnyTarget;
  if (!there(target)) return wrong('feature', 'noSuchPlace');
  const kept = quantityOf(target);
  const times = unitsOf(kept.unit, cell('unit'));
  if (times === null) return wrong('unit', 'otherUnit');
  const value = valueOf(cell('value'), times);
  if (value === null) return wrong('value', 'notANumber');
  if (!canBe(kept, value)) return wrong('value', 'cannotBe');
  const limit = cell('limit') === '' ? null : valueOf(cell('limit'), times);
  if (cell('limit') !== '' && (limit === null || limit <= 0 || limit > MOST_LIMIT)) return wrong('limit', 'cannotBe');
  const tool = toolOf(target, cell('tool'), tools);
  const least = tool === null ? null : limitOf(tools, target, value, tool);
  if (tool === null || least === null) return wrong('tool', 'unknownTool');
  const coarser = limit !== null && limit > least;
  return {
    line,
    target,
    value,
    limit: coarser ? limit : least,
    raw: (cell('typed') || cell('value')).slice(0, 80),
    tool,
    ...(coarser ? { coarser } : {}),
  };
}

/** What a row was read with: a state by what reads it, a dimension with the tool of the workshop of that id, name or kind; where none is named, with its first calliper. */
function toolOf(target: AnyTarget, told: string, tools: readonly MeasuringTool[]): string | null {
  if (isState(target)) return quantityOf(target).by ?? null;
  const wanted = told === '' ? 'calliper' : told.toLowerCase();
  return tools.find((t) => t.id === told || t.name.toLowerCase() === wanted || t.kind === wanted)?.id ?? null;
}

/** How many of its unit one of a file's is; null: it is another unit. Files of before told resistances in kΩ. */
function unitsOf(unit: string, told: string): number | null {
  if (told === '' || told === unit) return 1;
  if (unit === 'Ω' && told === 'kΩ') return 1000;
  return unit === 'Ω' && told === 'MΩ' ? 1e6 : null;
}

function valueOf(text: string, times: number): number | null {
  if (/^OL$/i.test(text)) return OPEN;
  const value = plainNumber(text);
  return value === null || value === OPEN ? value : Math.round(value * times * 1e6) / 1e6;
}
