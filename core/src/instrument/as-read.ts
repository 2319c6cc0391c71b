import equal from 'fast-deep-equal';
import { constant, type Basis } from '../measure/index.js';
import type { Anatomy } from './anatomy.js';

/** What nobody measured here is not known better than by a steel rule, mm. */
const STATED = constant(0.25, 'trade', 'Tools');

type Json = unknown;
type Row = Readonly<Record<string, Json>>;

/** What can be typed of a dimension: anything else has to be read, or worked. */
const TYPED: ReadonlySet<string> = new Set<Basis['kind']>(['default', 'stated']);
/** What is earned by a reading or by work. */
const EARNED: ReadonlySet<string> = new Set<Basis['kind']>(['readings', 'work']);
/** What work leaves behind beside dimensions. */
const LEFT_BY_WORK: readonly string[] = ['trimmed', 'glued'];

/**
 * An anatomy as somebody typed, moved or restored it, with what was read and worked left as it stands in the newest one: values, limits and bases of measured
 * dimensions come from accepted readings and done work alone. What the newest one has not read is only stated, whatever it says itself; an outline that is redrawn is no
 * longer vouched for by readings, one that was traced is as good as its drawing. `now` null: there was none before.
 */
export function withWhatWasRead(now: Anatomy | null, next: Anatomy): Anatomy {
  return merged(now, next) as Anatomy;
}

function merged(now: Json, next: Json): Json {
  if (Array.isArray(next)) return next.map((x: Json, i) => merged(counterpart(now, x, i), x));
  if (isDimension(now) && EARNED.has(now.basis.kind) && (next === null || next === undefined || isDimension(next))) return now;
  if (!isRow(next)) return next;
  const was = isRow(now) ? now : {};
  const inside = Object.fromEntries(Object.entries(next).map(([k, x]) => [k, k === 'basis' ? x : merged(was[k], x)]));
  const kept = Object.fromEntries(Object.entries(was).filter(([k, x]) => stays(k, x, next[k]) && (k !== 'trimmed' || equal(was['part'], next['part']))));
  return based(was, { ...inside, ...kept });
}

/** What is missing in what was typed and is left all the same: what was read, and what work left behind. */
function stays(key: string, was: Json, next: Json): boolean {
  if (LEFT_BY_WORK.includes(key)) return was !== undefined && was !== null;
  return isDimension(was) && EARNED.has(was.basis.kind) && (next === undefined || next === null);
}

/** A basis that was not earned is only stated. */
function based(was: Row, next: Row): Row {
  const { basis } = next;
  if (!isBasis(basis) || TYPED.has(basis.kind)) return vouched(was, next);
  if (equal(was, next)) return next;
  const drawn = 'outline' in next;
  if (drawn && basis.kind === 'sheet') return next;
  // where it lies is as sure as it was while it lies there
  if (!('value' in next) && isBasis(was['basis']) && equal(was['basis'], basis) && equal(placeIn(was), placeIn(next))) return next;
  return { ...next, basis: { kind: 'stated' }, limit: Math.max(STATED.value, typeof next['limit'] === 'number' ? next['limit'] : 0) };
}

/** An outline that readings vouched for, and that is drawn as it was, is as sure as it was. */
function vouched(was: Row, next: Row): Row {
  const { basis } = was;
  const drawn = 'outline' in next && isBasis(basis) && EARNED.has(basis.kind) && equal(was['outline'], next['outline']);
  return drawn ? { ...next, basis, limit: was['limit'] } : next;
}

const placeIn = (row: Row): Json => row['outline'] ?? row['at'] ?? null;

/** In a list the one with the same id, else the one at the same place. */
function counterpart(now: Json, next: Json, index: number): Json {
  if (!Array.isArray(now)) return undefined;
  const id = isRow(next) ? next['id'] : undefined;
  if (id === undefined) return now[index] as Json;
  const set = isRow(next) ? next['set'] : undefined;
  return now.find((x: Json) => isRow(x) && x['id'] === id && x['set'] === set) as Json;
}

const isRow = (x: Json): x is Row => typeof x === 'object' && x !== null && !Array.isArray(x);
const isBasis = (x: Json): x is Basis => isRow(x) && typeof x['kind'] === 'string';
const isDimension = (x: Json): x is Row & { readonly basis: Basis } => isRow(x) && typeof x['value'] === 'number' && isBasis(x['basis']);
