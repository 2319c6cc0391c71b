import { Damage } from '../damage.js';
import { Unread } from '../unread.js';

/** A group of a DXF file: its code, its value as it stands, and the line of that. */
export interface Group {
  readonly code: number;
  readonly value: string;
  readonly line: number;
}

/** An entity with all its groups: nothing is lost on the way. */
export interface Entity {
  readonly type: string;
  readonly line: number;
  readonly groups: readonly Group[];
  /** Of an old-style polyline. */
  readonly vertices?: readonly Entity[];
}

/** The groups of a file, two lines each, as far as its end. Throws Damage at a line that should be a code and is none. */
export function groupsOf(text: string): readonly Group[] {
  const lines = text.split(/\r\n|\n|\r/);
  const out: Group[] = [];
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const code = (lines[i] ?? '').trim();
    if (!/^-?\d{1,4}$/.test(code)) throw new Damage(`line ${i + 1}`);
    const group = { code: Number(code), value: (lines[i + 1] ?? '').trim(), line: i + 2 };
    if (group.code === 0 && group.value === 'EOF') break;
    // a remark
    if (group.code !== 999) out.push(group);
  }
  return out;
}

/** Groups in bundles: each begins with a group 0, what stands before the first has none. */
export function entitiesOf(groups: readonly Group[]): readonly Entity[] {
  const out: { type: string; line: number; groups: Group[]; vertices?: Entity[] }[] = [];
  for (const g of groups) {
    if (g.code === 0) out.push({ type: g.value.toUpperCase(), line: g.line, groups: [] });
    else out.at(-1)?.groups.push(g);
  }
  return gathered(out);
}

/** The vertices of an old-style polyline put into it, whether its end is marked or not. */
function gathered(all: readonly { type: string; line: number; groups: Group[]; vertices?: Entity[] }[]): readonly Entity[] {
  const out: Entity[] = [];
  let into: { vertices?: Entity[] } | null = null;
  for (const e of all) {
    if (e.type === 'VERTEX' && into) into.vertices?.push(e);
    else if (e.type === 'POLYLINE') out.push((into = Object.assign(e, { vertices: [] as Entity[] })));
    else {
      into = null;
      if (e.type !== 'SEQEND') out.push(e);
    }
  }
  return out;
}

const NUMBER = /^[+-]?(?:\d+\.?\d*|\.\d+)(?:[eEdD][+-]?\d+)?$/;
/** No instrument and no page is larger, in units of the file. */
const LARGEST = 1e7;

/** The number of a group. Throws Damage for what is none, by its line; Unread for one that nothing is as large as. */
export function numberOf(g: Group, type: string): number {
  const value = NUMBER.test(g.value) ? Number(g.value.replace(/d/i, 'e')) : NaN;
  if (!Number.isFinite(value)) throw new Damage(`line ${g.line}: ${type}`);
  if (Math.abs(value) > LARGEST) throw new Unread(`the size of ${type}, line ${g.line}`);
  return value;
}

/** All numbers under a code. */
export const numbers = (e: Entity, code: number): readonly number[] => e.groups.filter((g) => g.code === code).map((g) => numberOf(g, e.type));

/** The number under a code. Throws Damage where there is none and nothing otherwise. */
export function number(e: Entity, code: number, otherwise?: number): number {
  const g = e.groups.find((x) => x.code === code);
  if (g) return numberOf(g, e.type);
  if (otherwise === undefined) throw new Damage(`line ${e.line}: ${e.type}`);
  return otherwise;
}

/** The text under a code; nothing where there is none. */
export const textOf = (e: Entity, code: number): string => e.groups.find((g) => g.code === code)?.value ?? '';
