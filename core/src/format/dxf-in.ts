import library, { type IDxf } from 'dxf-parser';
import { arcsAlong, pointAt, segment, type Point, type Vertex } from '../shape/index.js';
import { CURVE_TOLERANCE, imported, LONGEST_FILE, type FileUnit, type ImportResult } from './imported.js';
import { isWhole, spansOf, splinePoint } from './nurbs.js';
import type { Strand } from './strand.js';

/** The library's class is its whole CommonJS module on Node and its default export in a bundle: the same name either way, but not the same type. */
const DxfParser = library as unknown as new () => { registerEntityHandler: (handler: unknown) => void; parseSync: (text: string) => IDxf | null };

/** A group of a DXF file: its code and its value. */
interface Group {
  readonly code: number;
  readonly value: unknown;
}

/** An entity as its groups: nothing is lost on the way. */
interface Raw {
  readonly type: string;
  /** Not there for kinds that the parser's own readers take. */
  readonly groups?: readonly Group[];
  readonly layer?: string;
  /** Of an old-style polyline. */
  readonly vertices?: readonly { readonly x: number; readonly y: number; readonly bulge?: number }[];
  readonly shape?: boolean;
  readonly extrusionDirection?: { readonly z: number };
}

interface Scanner {
  next: () => Group;
  isEOF: () => boolean;
}

/** Kinds of which every group is kept: the parser's own readers leave extrusions and weights out. */
const KEPT_RAW = ['LINE', 'ARC', 'CIRCLE', 'ELLIPSE', 'LWPOLYLINE', 'SPLINE', 'INSERT'] as const;

function rawReader(kind: string) {
  return class {
    readonly ForEntityName = kind;
    parseEntity(scanner: Scanner, curr: Group): Raw {
      const groups: Group[] = [];
      let g = curr;
      g = scanner.next();
      while (!scanner.isEOF() && g.code !== 0) {
        groups.push(g);
        g = scanner.next();
      }
      return { type: String(curr.value), groups };
    }
  };
}

/** From drawing units to mm by $INSUNITS; null where the file does not say. */
const UNITS: Readonly<Record<number, { readonly unit: FileUnit; readonly mm: number }>> = {
  1: { unit: 'inch', mm: 25.4 },
  2: { unit: 'inch', mm: 304.8 },
  4: { unit: 'mm', mm: 1 },
  5: { unit: 'cm', mm: 10 },
  6: { unit: 'cm', mm: 1000 },
};

type Map2 = (p: Point) => Point;

/**
 * The closed outlines of a DXF file in mm, y turned to run towards the bridge.
 * `assumed` is the unit that the technician chose; null: a file that does not say its unit comes back in mm marked 'unknown', to be asked about.
 */
export function outlinesFromDxf(text: string, assumed: 'mm' | 'inch' | null = null): ImportResult {
  if (text.trim() === '') return { ok: false, refusal: { kind: 'empty', detail: '' } };
  if (text.length > LONGEST_FILE) return { ok: false, refusal: { kind: 'tooLarge', detail: '' } };
  if (!/^\s*0\s*\r?\n\s*SECTION|^\s*999\s*\r?\n/.test(text)) return { ok: false, refusal: { kind: 'notThisKind', detail: '' } };
  const parser = new DxfParser();
  for (const kind of KEPT_RAW) parser.registerEntityHandler(rawReader(kind));
  try {
    const file = parser.parseSync(text);
    if (!file) return { ok: false, refusal: { kind: 'broken', detail: '' } };
    const given = UNITS[Number((file.header as Record<string, unknown> | undefined)?.['$INSUNITS'] ?? 0)];
    const mm = assumed === 'inch' ? 25.4 : assumed === 'mm' ? 1 : (given?.mm ?? 1);
    const unit: FileUnit = assumed ?? given?.unit ?? 'unknown';
    const strands: Strand[] = [];
    const ignored = new Map<string, number>();
    const blocks = file.blocks as unknown as Readonly<Record<string, { readonly entities?: readonly Raw[]; readonly position?: Point } | undefined>>;
    const page: Map2 = (p) => ({ x: p.x * mm, y: -p.y * mm });
    for (const e of file.entities as unknown as readonly Raw[]) draw(e, page, { strands, ignored, blocks }, 0);
    if (strands.length === 0) return { ok: false, refusal: { kind: 'nothingInIt', detail: [...ignored.keys()].join(', ') } };
    return { ok: true, imported: imported(strands, unit, ignored) };
  } catch (error) {
    return { ok: false, refusal: { kind: 'broken', detail: error instanceof Error ? error.message : '' } };
  }
}

/** What a drawing comes to as it is gone through: its strands, how many of what were left out, and the blocks that it names. */
interface Drawn {
  readonly strands: Strand[];
  readonly ignored: Map<string, number>;
  readonly blocks: Readonly<Record<string, { readonly entities?: readonly Raw[]; readonly position?: Point } | undefined>>;
}

/** Blocks inside blocks are followed this far. */
const DEEPEST = 16;

function draw(e: Raw, outer: Map2, onto: Drawn, depth: number): void {
  const { strands, ignored, blocks } = onto;
  if (e.type === 'INSERT') {
    if (depth >= DEEPEST) throw new RangeError('blocks hold one another');
    const name = all(e, 2)[0];
    const block = typeof name === 'string' ? blocks[name] : undefined;
    for (const map of insertMaps(e, outer, block?.position ?? { x: 0, y: 0 })) {
      for (const inside of block?.entities ?? []) draw(inside, map, onto, depth + 1);
    }
    return;
  }
  const strand = strandOf(e, extruded(e, outer));
  if (strand) strands.push(strand);
  else if (!SILENT.has(e.type)) ignored.set(e.type, (ignored.get(e.type) ?? 0) + 1);
}

/** What draws no edge. */
const SILENT = new Set(['POINT', 'VIEWPORT', 'ATTDEF', 'TEXT', 'MTEXT', 'DIMENSION']);

const all = (e: Raw, code: number): readonly unknown[] => (e.groups ?? []).filter((g) => g.code === code).map((g) => g.value);

function num(e: Raw, code: number, otherwise?: number): number {
  const v = all(e, code)[0] ?? otherwise;
  if (typeof v !== 'number' || !Number.isFinite(v)) throw new SyntaxError(`${e.type}: group ${code} is no number`);
  return v;
}

const pair = (e: Raw, code: number): Point => ({ x: num(e, code), y: num(e, code + 10) });

/** An extrusion that points away from the eye mirrors x [std: DXF, arbitrary axis]. */
function extruded(e: Raw, outer: Map2): Map2 {
  const flat = e.type !== 'LINE' && e.type !== 'ELLIPSE' && e.type !== 'SPLINE';
  const away = flat && (e.extrusionDirection?.z ?? num(e, 230, 1)) < 0;
  return away ? (p) => outer({ x: -p.x, y: p.y }) : outer;
}

/** Each copy of a block: moved, turned in degrees, scaled, in rows and columns. */
function insertMaps(e: Raw, outer: Map2, base: Point): readonly Map2[] {
  const at = pair(e, 10);
  const [sx, sy] = [num(e, 41, 1), num(e, 42, 1)];
  const turn = (num(e, 50, 0) * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const [columns, rows] = [Math.max(1, num(e, 70, 1)), Math.max(1, num(e, 71, 1))];
  if (columns * rows > 10_000) throw new RangeError('a block is repeated too often');
  const whole = extruded(e, outer);
  return Array.from({ length: columns * rows }, (_, i): Map2 => {
    const [ox, oy] = [(i % columns) * num(e, 44, 0), Math.floor(i / columns) * num(e, 45, 0)];
    return (p) => {
      const [x, y] = [(p.x - base.x) * sx + ox, (p.y - base.y) * sy + oy];
      return whole({ x: at.x + c * x - s * y, y: at.y + s * x + c * y });
    };
  });
}

function strandOf(e: Raw, map: Map2): Strand | null {
  switch (e.type) {
    case 'LINE':
      return open([{ ...map(pair(e, 10)), bulge: 0 }], map(pair(e, 11)), e.type);
    case 'CIRCLE': {
      const [m, r] = [pair(e, 10), num(e, 40)];
      return closed(
        curved((t) => round(m, r, r, 0, 2 * Math.PI * t), map),
        e.type,
      );
    }
    case 'ARC': {
      const [m, r] = [pair(e, 10), num(e, 40)];
      const from = (num(e, 50) * Math.PI) / 180;
      const sweep = positive((num(e, 51) * Math.PI) / 180 - from);
      const at = (t: number): Point => round(m, r, r, 0, from + t * sweep);
      return open(curved(at, map), map(at(1)), e.type);
    }
    case 'ELLIPSE':
      return ellipse(e, map);
    case 'LWPOLYLINE':
      return polyline(lwVertices(e), (num(e, 70, 0) & 1) === 1, map, e.type);
    case 'POLYLINE':
      return polyline(
        (e.vertices ?? []).map((v) => ({ x: v.x, y: v.y, bulge: v.bulge ?? 0 })),
        e.shape === true,
        map,
        e.type,
      );
    case 'SPLINE':
      return spline(e, map);
    default:
      return null;
  }
}

const positive = (angle: number): number => ((angle % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI) || 2 * Math.PI;
const round = (m: Point, a: number, b: number, turn: number, t: number): Point => {
  const [x, y] = [a * Math.cos(t), b * Math.sin(t)];
  return { x: m.x + x * Math.cos(turn) - y * Math.sin(turn), y: m.y + x * Math.sin(turn) + y * Math.cos(turn) };
};
const curved = (at: (t: number) => Point, map: Map2): readonly Vertex[] => arcsAlong((t) => map(at(t)), CURVE_TOLERANCE);
const open = (vertices: readonly Vertex[], end: Point, of: string): Strand => ({ vertices: [...vertices, { ...end, bulge: 0 }], closed: false, of });
const closed = (vertices: readonly Vertex[], of: string): Strand => ({ vertices, closed: true, of });

function ellipse(e: Raw, map: Map2): Strand {
  const m = pair(e, 10);
  const major = pair(e, 11);
  const a = Math.hypot(major.x, major.y);
  const turn = Math.atan2(major.y, major.x);
  const side = num(e, 230, 1) < 0 ? -1 : 1;
  const from = num(e, 41, 0);
  const sweep = positive(num(e, 42, 2 * Math.PI) - from);
  const at = (t: number): Point => round(m, a, side * a * num(e, 40), turn, from + t * sweep);
  return Math.abs(sweep - 2 * Math.PI) < 1e-9 ? closed(curved(at, map), e.type) : open(curved(at, map), map(at(1)), e.type);
}

/** Vertices of a light polyline: each begins with group 10. */
function lwVertices(e: Raw): readonly Vertex[] {
  const out: { x: number; y: number; bulge: number }[] = [];
  for (const g of e.groups ?? []) {
    const v = Number(g.value);
    const last = out[out.length - 1];
    if (g.code === 10) out.push({ x: v, y: 0, bulge: 0 });
    else if (g.code === 20 && last) last.y = v;
    else if (g.code === 42 && last) last.bulge = v;
  }
  return out;
}

function polyline(vertices: readonly Vertex[], isClosed: boolean, map: Map2, of: string): Strand | null {
  if (vertices.length < 2) return null;
  const pieces = isClosed ? vertices.length : vertices.length - 1;
  const out = vertices.slice(0, pieces).flatMap((v, i): readonly Vertex[] => {
    const next = vertices[(i + 1) % vertices.length] ?? v;
    if (v.bulge === 0) return [{ ...map(v), bulge: 0 }];
    const arc = segment(v, next, v.bulge);
    return curved((t) => pointAt(arc, t), map);
  });
  const last = vertices[vertices.length - 1] ?? { x: 0, y: 0 };
  return isClosed ? closed(out, of) : open(out, map(last), of);
}

function spline(e: Raw, map: Map2): Strand | null {
  const xs = all(e, 10).map(Number);
  const ys = all(e, 20).map(Number);
  const points = xs.map((x, i) => ({ x, y: ys[i] ?? NaN }));
  const given = all(e, 41).map(Number);
  const s = { degree: num(e, 71), knots: all(e, 40).map(Number), points, weights: given.length > 0 ? given : points.map(() => 1) };
  if (!isWhole(s)) throw new SyntaxError('SPLINE: its knots, points and weights do not belong together');
  const spans = spansOf(s);
  const vertices = spans.slice(1).flatMap((to, i) => {
    const from = spans[i] ?? 0;
    return curved((t) => splinePoint(s, from + t * (to - from)), map);
  });
  return open(vertices, map(splinePoint(s, spans[spans.length - 1] ?? 1)), e.type);
}
