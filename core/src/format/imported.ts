import { area, bounds, selfCrossing, type Outline, type Point, type Vertex } from '../shape/index.js';
import { joinStrands } from './join-strands.js';
import type { Strand } from './strand.js';
import { Unread } from './unread.js';

/** A closed outline out of a file, mm, in the file's own place. */
export interface ImportedOutline {
  readonly outline: Outline;
  readonly of: string;
  readonly width: number;
  readonly height: number;
}

/** What was met on the way, to be stated. */
export type ImportNote =
  | { readonly kind: 'open'; readonly of: string; readonly gap: number }
  | { readonly kind: 'crossing'; readonly of: string; readonly at: Point }
  | { readonly kind: 'flat'; readonly of: string }
  /** So many corners that no simplifying makes it an edge that a cutter could follow. */
  | { readonly kind: 'tooFine'; readonly of: string; readonly count: number }
  | { readonly kind: 'joined'; readonly count: number; readonly gap: number }
  | { readonly kind: 'simplified'; readonly from: number; readonly to: number; readonly tolerance: number }
  | { readonly kind: 'ignored'; readonly what: string; readonly count: number }
  /** What else was met and is not told one by one. */
  | { readonly kind: 'more'; readonly count: number };

export type FileUnit = 'mm' | 'cm' | 'inch' | 'px' | 'unknown';

/** Everything usable in a file. Its size is to be confirmed: `unit` says what the file claims. */
export interface Imported {
  readonly outlines: readonly ImportedOutline[];
  readonly notes: readonly ImportNote[];
  readonly unit: FileUnit;
}

/** Why a file cannot be read at all; `detail` is where in it, or what of it: names, never the words of an engine. */
export interface ImportRefusal {
  readonly kind: 'empty' | 'tooLarge' | 'broken' | 'unread' | 'tooLong' | 'notThisKind' | 'nothingInIt';
  readonly detail: string;
}

export type ImportResult = { readonly ok: true; readonly imported: Imported } | { readonly ok: false; readonly refusal: ImportRefusal };

/** Curves of imports keep within this of the file's, mm (architecture: 0.01). */
export const CURVE_TOLERANCE = 0.01;

/** Ends nearer than this are one, mm [memory]. */
export const JOIN_TOLERANCE = 0.05;

/** More pieces or corners than these no drawing of an instrument has: it is refused before any of them are joined. */
export const MOST_PIECES = 50_000;
export const MOST_CORNERS = 150_000;

/** Longest file that is read, bytes. */
export const LONGEST_FILE = 20_000_000;

/** So many notes are told one by one. */
const MOST_NOTES = 30;

/** More corners than this are simplified: finer than any cutter follows. */
const MOST_VERTICES = 4000;

/** First tolerance of simplifying, mm; doubled until few enough corners are left, up to the last. */
const SIMPLIFY_FROM = 0.005;
const SIMPLIFY_TO = 0.64;

/** Joins what belongs together, closes, simplifies and judges: closed outlines and everything that is to be stated. Throws Unread for more than anybody draws. */
export function imported(strands: readonly Strand[], unit: FileUnit, ignored: ReadonlyMap<string, number>): Imported {
  if (strands.length > MOST_PIECES) throw new Unread(`a drawing of over ${MOST_PIECES} pieces`);
  if (strands.reduce((n, s) => n + s.vertices.length, 0) > MOST_CORNERS) throw new Unread(`a drawing of over ${MOST_CORNERS} corners`);
  const joined = joinStrands(strands, JOIN_TOLERANCE);
  const notes: ImportNote[] = [...ignored].map(([what, count]) => ({ kind: 'ignored', what, count }));
  if (joined.joins > 0) notes.push({ kind: 'joined', count: joined.joins, gap: joined.widest });
  const outlines: ImportedOutline[] = [];
  for (const s of joined.strands) {
    if (!s.closed) {
      const [a, b] = [s.vertices[0], s.vertices[s.vertices.length - 1]];
      notes.push({ kind: 'open', of: s.of, gap: a && b ? Math.hypot(a.x - b.x, a.y - b.y) : 0 });
      continue;
    }
    const { vertices, tolerance } = fewer(s.vertices);
    if (tolerance > 0 && vertices.length <= MOST_VERTICES) notes.push({ kind: 'simplified', from: s.vertices.length, to: vertices.length, tolerance });
    if (vertices.length > MOST_VERTICES) {
      notes.push({ kind: 'tooFine', of: s.of, count: vertices.length });
      continue;
    }
    const outline: Outline = { vertices };
    const at = selfCrossing(outline);
    if (at) {
      notes.push({ kind: 'crossing', of: s.of, at });
      continue;
    }
    if (!(area(outline) > 1e-6)) {
      notes.push({ kind: 'flat', of: s.of });
      continue;
    }
    const b = bounds([outline]);
    outlines.push({ outline, of: s.of, width: b.maxX - b.minX, height: b.maxY - b.minY });
  }
  const told = notes.slice(0, MOST_NOTES);
  return { outlines, notes: notes.length > told.length ? [...told, { kind: 'more', count: notes.length - told.length }] : told, unit };
}

/** So many corners are simplified at a time. */
const STRETCH = 256;

/** Fewer corners where straight runs have too many (Douglas and Peucker); arcs stay as they are. */
function fewer(all: readonly Vertex[]): { readonly vertices: readonly Vertex[]; readonly tolerance: number } {
  if (all.length <= MOST_VERTICES) return { vertices: all, tolerance: 0 };
  // what no tolerance makes few enough is known by the coarsest
  const coarse = simplified(all, SIMPLIFY_TO);
  if (coarse.length > MOST_VERTICES) return { vertices: coarse, tolerance: SIMPLIFY_TO };
  for (let t = SIMPLIFY_FROM; t < SIMPLIFY_TO; t *= 2) {
    const vertices = simplified(all, t);
    if (vertices.length <= MOST_VERTICES) return { vertices, tolerance: t };
  }
  return { vertices: coarse, tolerance: SIMPLIFY_TO };
}

function simplified(all: readonly Vertex[], tolerance: number): readonly Vertex[] {
  const keep = new Set<number>([0, Math.floor(all.length / 2), all.length - 1]);
  all.forEach((v, i) => {
    if (v.bulge !== 0) keep.add(i).add((i + 1) % all.length);
  });
  // in stretches, so that no drawing takes more than its length: a rough one would be gone through again for each of its corners
  for (let i = 0; i < all.length; i += STRETCH) keep.add(i);
  const fixed = [...keep].sort((a, b) => a - b);
  const stack = fixed.slice(1).map((to, i) => [fixed[i] ?? 0, to] as const);
  while (stack.length > 0) {
    const [from, to] = stack.pop() ?? [0, 0];
    const [a, b] = [all[from], all[to]];
    if (!a || !b || to - from < 2) continue;
    let [worst, at] = [tolerance * tolerance, -1];
    for (let i = from + 1; i < to; i++) {
      const p = all[i];
      const off = p ? offSquared(p, a, b) : 0;
      if (off > worst) [worst, at] = [off, i];
    }
    if (at < 0) continue;
    keep.add(at);
    stack.push([from, at], [at, to]);
  }
  return all.filter((_, i) => keep.has(i));
}

/** The square of how far a point is from a line between two others. */
function offSquared(p: Point, a: Point, b: Point): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const long = dx * dx + dy * dy;
  const t = long === 0 ? 0 : Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / long));
  const [x, y] = [p.x - a.x - t * dx, p.y - a.y - t * dy];
  return x * x + y * y;
}
