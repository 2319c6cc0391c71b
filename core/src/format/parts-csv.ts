import Papa from 'papaparse';
import { plainNumber, readTable, type TableFault, type TableRow } from './table.js';
import { PART_FIELDS, withNewNames } from '../upgrade/index.js';
import type { Basis, Dimension } from '../measure/index.js';
import {
  ELECTRIC,
  ELECTRIC_IDS,
  PART_COLUMNS,
  partHeader,
  TRAITS,
  partRow,
  isPickup,
  PICKUP_SIZES,
  SIZE_IDS,
  SIZES,
  typicalPickup,
  wrongContacts,
  type ContactTable,
  type ElectricId,
  type ElectricValues,
  type Hardware,
  type PartRow,
  type PartRows,
  type Part,
  type Pickup,
  type PickupKind,
  type SizeId,
  type ThreadId,
  type TraitId,
} from '../part/index.js';

/** The column of a header, by its words or by the name that it had before; what is no column stays as it is. */
function columnOf(header: string): string {
  const text = header.trim();
  return PART_COLUMNS.find((c) => c === text || partHeader(c) === text) ?? text;
}

/** Most lines of a file that is read; a longer one is refused as a whole. */
export const MOST_PART_LINES = 5000;

/** A dimension as one cell: value, ± limit, and in brackets how it is known: `9.4 ±0.05 (calliper)`. */
function cellOf(d: Dimension): string {
  return `${d.value} ±${d.limit} (${BASIS_WORD[d.basis.kind] ?? (d.basis.kind === 'measured' ? d.basis.tool : 'typical')})`;
}

const BASIS_WORD: Readonly<Partial<Record<Basis['kind'], string>>> = {
  sheet: 'sheet',
  stated: 'listing',
  default: 'typical',
  planned: 'typical',
  setting: 'typical',
};

/** The shelf as RFC 4180 text; text that a spreadsheet would run as a formula is led by an apostrophe. */
export function partsCsv(parts: readonly Part[]): string {
  const rows = parts.map((p) => PART_COLUMNS.map((c) => cell(p, c)));
  return `${Papa.unparse([PART_COLUMNS.map(partHeader), ...rows], { escapeFormulae: true, newline: '\r\n' })}\r\n`;
}

function cell(p: Part, column: string): string {
  switch (column) {
    case 'id':
      return p.id;
    case 'kind':
      return p.kind;
    case 'name':
      return p.name;
    case 'price':
      return String(p.price);
    case 'lead days':
      return text(p.leadDays);
    case 'replaced by':
      return p.replacedBy ?? '';
    case 'note':
      return p.note ?? '';
    case 'drawn':
      return drawn(p);
  }
  const d = (p.sizes as Readonly<Partial<Record<string, Dimension>>> | undefined)?.[column];
  if (column in SIZES) return d ? cellOf(d) : '';
  if (isPickup(p)) return '';
  if (column === 'thread') return p.thread ?? '';
  if (column === 'gauge') return text(p.gauge);
  if (column === 'kiloohms') return text(p.kiloohms);
  if (column === 'contacts') return p.contacts ? JSON.stringify(p.contacts) : '';
  if (column in ELECTRIC) return text(p.electric?.[column as ElectricId]);
  return p.traits[column as TraitId] ?? '';
}

const text = (n: number | null | undefined): string => (n === null || n === undefined ? '' : String(n));

/** What no plain cell holds: outlines, screw places, coils. */
function drawn(p: Part): string {
  if (!isPickup(p)) return p.shape ? JSON.stringify(p.shape) : '';
  const { tiers, screws, poles, leads, strings, colours, coils, coverGround, leadsFound } = p;
  return JSON.stringify({ tiers, screws, poles, leads, strings, colours, coils, coverGround, leadsFound });
}

export type PartCsvFault =
  'noTable' | 'noColumn' | 'unknownColumn' | 'unknownKind' | 'noName' | 'notANumber' | 'cannotBe' | 'notOfThisKind' | 'notDrawn' | 'twice' | TableFault;

/** What is wrong in which line (the header is line 1) and column, and what stood there. */
export interface PartCsvProblem {
  readonly line: number;
  readonly column: string;
  readonly fault: PartCsvFault;
  readonly saw: string;
}

export interface ReadPartsCsv {
  readonly parts: readonly { readonly line: number; readonly part: Part }[];
  readonly problems: readonly PartCsvProblem[];
}

/** How a part is named in the table. */
const ID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** Parts out of a table with at least kind and name. A row without an id gets one from `freshId`. Never throws: what cannot be is stated by line and column. */
export function readPartsCsv(rows: PartRows, csv: string, freshId: () => string): ReadPartsCsv {
  const { columns: fields, rows: lines, broken, isLonger } = readTable(csv, columnOf, MOST_PART_LINES);
  const one = (column: string, fault: PartCsvFault, saw: string, line = 1): ReadPartsCsv => ({ parts: [], problems: [{ line, column, fault, saw }] });
  const absent = ['kind', 'name'].find((c) => !fields.includes(c));
  if (absent !== undefined) return one(absent, lines.length === 0 ? 'noTable' : 'noColumn', fields.join(', ').slice(0, 120));
  if (broken) return one('', 'unclosedQuote', broken.saw, broken.line);
  if (isLonger) return one('', 'tooManyLines', String(MOST_PART_LINES));
  const strange = fields
    .filter((c) => c !== '' && !PART_COLUMNS.includes(c))
    .map((c): PartCsvProblem => ({ line: 1, column: c, fault: 'unknownColumn', saw: c }));
  const seen = new Set<string>();
  const read = lines.map((row) => readRow(rows, row, seen, freshId));
  return {
    parts: read.flatMap((r) => ('part' in r ? [r] : [])),
    problems: [...strange, ...read.flatMap((r) => ('problems' in r ? r.problems : []))],
  };
}

function readRow(
  rows: PartRows,
  { cells, line, surplus }: TableRow<string>,
  seen: Set<string>,
  freshId: () => string,
): { line: number; part: Part } | { problems: readonly PartCsvProblem[] } {
  const problems: PartCsvProblem[] = [];
  const get = (c: string): string => (cells[c] ?? '').trim().replace(/^'(?=[=+\-@\t\r])/, '');
  const wrong: Wrong = (column, fault) => {
    problems.push({ line, column, fault, saw: get(column).slice(0, 60) });
    return [];
  };
  const whole = (c: string, most: number): number | null => {
    if (get(c) === '') return null;
    const n = number(get(c));
    if (n !== null && Number.isInteger(n) && n >= 0 && n <= most) return n;
    wrong(c, n === null ? 'notANumber' : 'cannotBe');
    return null;
  };
  const kind = get('kind');
  if (!(kind in rows.partKinds) && !isPickup({ kind })) wrong('kind', 'unknownKind');
  if (get('name') === '') wrong('name', 'noName');
  if (surplus !== '') problems.push({ line, column: '', fault: 'surplusCells', saw: surplus.slice(0, 60) });
  if (problems.length > 0) return { problems };
  const id = ID.test(get('id')) ? get('id').toLowerCase() : freshId();
  if (seen.has(id) && get('id') !== '') wrong('id', 'twice');
  seen.add(id);
  const by = get('replaced by').toLowerCase();
  if (by !== '' && !ID.test(by)) wrong('replaced by', 'cannotBe');
  const days = whole('lead days', 1000);
  const base = {
    format: 2 as const,
    id,
    name: get('name').slice(0, 120),
    price: whole('price', 100_000_000) ?? 0,
    ...(days === null ? {} : { leadDays: days }),
    ...(by === '' ? {} : { replacedBy: by }),
    ...(get('note') === '' ? {} : { note: get('note').slice(0, 500) }),
  };
  const sizes = (allowed: readonly SizeId[]): Readonly<Partial<Record<SizeId, Dimension>>> =>
    Object.fromEntries(
      SIZE_IDS.flatMap((s): readonly (readonly [SizeId, Dimension])[] => {
        if (get(s) === '') return [];
        if (!allowed.includes(s)) return wrong(s, 'notOfThisKind');
        const d = dimensionOf(get(s), id);
        const [min, max] = SIZES[s];
        if (d === null) return wrong(s, 'notANumber');
        return d.value < min || d.value > max ? wrong(s, 'cannotBe') : [[s, d]];
      }),
    );
  const part = isPickup({ kind })
    ? pickupOf(kind as PickupKind, base, sizes(PICKUP_SIZES), get('drawn'), wrong)
    : hardwareOf(partRow(rows, kind), base, { sizes, get, whole, wrong });
  return problems.length > 0 ? { problems } : { line, part };
}

/** Notes what is wrong; nothing comes of that cell. */
type Wrong = (column: string, fault: PartCsvFault) => readonly never[];

function pickupOf(kind: PickupKind, base: Pick<Part, 'format' | 'id' | 'name' | 'price'>, sizes: Pickup['sizes'], json: string, wrong: Wrong): Pickup {
  const typical = typicalPickup(kind, base.id, base.name);
  const more = json === '' ? {} : parsed(json);
  if (more === null) wrong('drawn', 'notDrawn');
  return { ...typical, ...(more as Partial<Pickup> | null), ...base, kind, ...(sizes && Object.keys(sizes).length > 0 ? { sizes } : {}) };
}

/** How the cells of a line are read. */
interface Cells {
  readonly sizes: (allowed: readonly SizeId[]) => Hardware['sizes'];
  readonly get: (column: string) => string;
  readonly whole: (column: string, most: number) => number | null;
  readonly wrong: Wrong;
}

function hardwareOf(row: PartRow, base: Pick<Part, 'format' | 'id' | 'name' | 'price'>, { sizes, get, whole, wrong }: Cells): Hardware {
  const threads = row.threads ?? [];
  const traits = TRAITS.flatMap((t): readonly (readonly [TraitId, string])[] => {
    if (get(t) === '') return [];
    const words = row.traits?.[t];
    return words?.includes(get(t)) ? [[t, get(t)]] : wrong(t, words ? 'cannotBe' : 'notOfThisKind');
  });
  const thread = get('thread');
  if (thread !== '' && !threads.includes(thread as ThreadId)) wrong('thread', threads.length > 0 ? 'cannotBe' : 'notOfThisKind');
  const shape = get('drawn') === '' ? null : parsed(get('drawn'));
  if (shape === null && get('drawn') !== '') wrong('drawn', 'notDrawn');
  const ohms = get('kiloohms') === '' ? null : number(get('kiloohms'));
  if (ohms === null && get('kiloohms') !== '') wrong('kiloohms', 'notANumber');
  const electric = electricOf(row, get, wrong);
  const contacts = contactsOf(row, get, wrong);
  return {
    ...base,
    ...(Object.keys(electric).length > 0 ? { electric } : {}),
    ...(contacts ? { contacts } : {}),
    kind: row.kind,
    sizes: sizes(Object.keys(row.sizes) as SizeId[]),
    traits: Object.fromEntries(traits),
    thread: thread === '' ? null : (thread as ThreadId),
    gauge: row.gauge ? whole('gauge', 24) : null,
    kiloohms: ohms,
    shape: shape as Hardware['shape'],
  };
}

/** What the kind is marked with, each a plain number in its unit: `2.2e-8` in farad. */
function electricOf(row: PartRow, get: Cells['get'], wrong: Wrong): ElectricValues {
  return Object.fromEntries(
    ELECTRIC_IDS.flatMap((id): readonly (readonly [ElectricId, number])[] => {
      if (get(id) === '') return [];
      if (!row.electric?.includes(id)) return wrong(id, 'notOfThisKind');
      const value = number(get(id));
      const [least, most] = ELECTRIC[id].range;
      if (value === null) return wrong(id, 'notANumber');
      const can = value >= least && value <= most && (ELECTRIC[id].unit !== 'count' || Number.isInteger(value));
      return can ? [[id, value]] : wrong(id, 'cannotBe');
    }),
  );
}

function contactsOf(row: PartRow, get: Cells['get'], wrong: Wrong): ContactTable | null {
  if (get('contacts') === '') return null;
  if (!row.switches) wrong('contacts', 'notOfThisKind');
  const table = parsed(get('contacts'));
  if (isTable(table) && wrongContacts(table).length === 0) return table;
  wrong('contacts', 'cannotBe');
  return null;
}

const isPair = (j: unknown): boolean => Array.isArray(j) && j.length === 2 && j.every((l) => typeof l === 'string');

function isTable(table: object | null): table is ContactTable {
  const { lugs, positions } = (table ?? {}) as Readonly<Record<string, unknown>>;
  const isPosition = (p: unknown): boolean => {
    const joins: unknown = (p as { readonly joins?: unknown } | null)?.joins;
    return Array.isArray(joins) && joins.every(isPair);
  };
  return Array.isArray(lugs) && lugs.every((l) => typeof l === 'string') && Array.isArray(positions) && positions.every(isPosition);
}

function parsed(json: string): object | null {
  try {
    const value: unknown = JSON.parse(json);
    return typeof value === 'object' && value !== null && !Array.isArray(value) && isWhole(value) ? (withNewNames(value, PART_FIELDS) as object) : null;
  } catch {
    return null;
  }
}

/** Where points stand nothing may be missing: no list holds a null, and no point lacks a number. */
function isWhole(value: unknown): boolean {
  if (Array.isArray(value)) return value.every((v) => v !== null && isWhole(v));
  if (typeof value !== 'object' || value === null) return typeof value !== 'number' || Number.isFinite(value);
  return Object.entries(value).every(([key, v]) => !((key === 'x' || key === 'y' || key === 'bulge') && typeof v !== 'number') && isWhole(v));
}

/** Limits of what is typed without one, mm: a calliper's, and a listing's [trade: docs/trade/part.md, Tools]. */
const CALLIPER = 0.05;
const LISTING = 1;

function dimensionOf(cell: string, part: string): Dimension | null {
  const m = /^(\S+)\s*(?:±\s*(\S+))?\s*(?:\((.*)\))?$/.exec(cell);
  const value = m?.[1] === undefined ? null : number(m[1]);
  if (!m || value === null) return null;
  const basis = basisOf(m[3]?.trim() ?? 'listing', part);
  const limit = m[2] === undefined ? (basis.kind === 'measured' ? CALLIPER : LISTING) : number(m[2]);
  return limit === null || limit < 0 || limit > 50 ? null : { value, limit, basis };
}

function basisOf(word: string, part: string): Basis {
  if (word === 'sheet') return { kind: 'sheet', part };
  if (word === 'listing') return { kind: 'stated' };
  return word === 'typical' || word === '' ? { kind: 'default' } : { kind: 'measured', tool: word.slice(0, 80) };
}

function number(text: string): number | null {
  return plainNumber(text);
}
