import type { Point } from '../shape/index.js';
import { Damage } from './damage.js';
import { dxfOf, type Block, type DxfFile } from './dxf/file.js';
import { number, textOf, type Entity } from './dxf/groups.js';
import { pair, strandOf, type Map2 } from './dxf/strand-of.js';
import { imported, LONGEST_FILE, MOST_PIECES, type FileUnit, type ImportResult } from './imported.js';
import type { Strand } from './strand.js';
import { Unread } from './unread.js';

/** From drawing units to mm by $INSUNITS; one that is not here is not known. */
const UNITS: Readonly<Record<number, { readonly unit: FileUnit; readonly mm: number }>> = {
  1: { unit: 'inch', mm: 25.4 },
  2: { unit: 'inch', mm: 304.8 },
  4: { unit: 'mm', mm: 1 },
  5: { unit: 'cm', mm: 10 },
  6: { unit: 'cm', mm: 1000 },
  9: { unit: 'inch', mm: 0.0254 },
  14: { unit: 'cm', mm: 100 },
};

/**
 * The closed outlines of a DXF file in mm, y turned to run towards the bridge. What CAD hides, what lies on paper and what is not read is left out and counted.
 * `assumed` is the unit that the technician chose; null: a file that does not say its unit comes back in mm marked 'unknown', to be asked about.
 */
export function outlinesFromDxf(text: string, assumed: 'mm' | 'inch' | null = null): ImportResult {
  if (text.trim() === '') return { ok: false, refusal: { kind: 'empty', detail: '' } };
  if (text.length > LONGEST_FILE) return { ok: false, refusal: { kind: 'tooLarge', detail: '' } };
  if (!/^\s*0\s*\r?\n\s*SECTION|^\s*999\s*\r?\n/.test(text)) return { ok: false, refusal: { kind: 'notThisKind', detail: '' } };
  try {
    const file = dxfOf(text);
    const given = UNITS[file.units];
    const mm = assumed === 'inch' ? 25.4 : assumed === 'mm' ? 1 : (given?.mm ?? 1);
    const onto: Drawing = { file, strands: [], leftOut: new Map(), met: 0 };
    for (const e of file.entities) draw(e, { map: (p) => ({ x: p.x * mm, y: -p.y * mm }), layer: '', depth: 0 }, onto);
    if (onto.strands.length === 0) return { ok: false, refusal: { kind: 'nothingInIt', detail: [...onto.leftOut.keys()].join(', ') } };
    return { ok: true, imported: imported(onto.strands, assumed ?? given?.unit ?? 'unknown', onto.leftOut) };
  } catch (error) {
    if (error instanceof Damage) return { ok: false, refusal: { kind: 'broken', detail: error.where } };
    if (error instanceof Unread) return { ok: false, refusal: { kind: 'unread', detail: error.what } };
    throw error;
  }
}

/** What a drawing comes to as it is gone through: its strands, how many of what were left out, and how much was met. */
interface Drawing {
  readonly file: DxfFile;
  readonly strands: Strand[];
  readonly leftOut: Map<string, number>;
  met: number;
}

/** Where something is drawn: as it lies, on the layer of the block that it is in, so many blocks deep. */
interface Place {
  readonly map: Map2;
  readonly layer: string;
  readonly depth: number;
}

/** Blocks inside blocks are followed this far. */
const DEEPEST = 16;

const TOO_MANY = `a drawing of over ${MOST_PIECES} pieces`;

/** What draws no edge. */
const SILENT = new Set(['POINT', 'VIEWPORT', 'ATTDEF', 'ATTRIB', 'TEXT', 'MTEXT', 'DIMENSION']);

function draw(e: Entity, place: Place, onto: Drawing): void {
  onto.met += 1;
  if (onto.met > MOST_PIECES) throw new Unread(TOO_MANY);
  if (SILENT.has(e.type)) return;
  const leaveOut = (what: string): void => void onto.leftOut.set(what, (onto.leftOut.get(what) ?? 0) + 1);
  const own = textOf(e, 8).toUpperCase();
  const layer = own === '0' && place.layer !== '' ? place.layer : own;
  const hides = onto.file.hides.get(layer);
  if (number(e, 67, 0) === 1) return leaveOut(`${e.type} on paper`);
  if (number(e, 60, 0) === 1) return leaveOut(`hidden ${e.type}`);
  if (hides && (e.type !== 'INSERT' || hides === 'frozen')) return leaveOut(`${e.type} on a hidden layer`);
  if (e.type === 'INSERT') {
    insert(e, { ...place, layer }, onto, leaveOut);
    return;
  }
  const strand = strandOf(e, facing(e, place.map));
  if (strand === null) leaveOut(e.type);
  else if (typeof strand === 'string') leaveOut(strand);
  else onto.strands.push(strand);
}

function insert(e: Entity, place: Place, onto: Drawing, leaveOut: (what: string) => void): void {
  if (place.depth >= DEEPEST) throw new Unread('blocks that hold one another');
  const name = textOf(e, 2);
  const block = onto.file.blocks.get(name.toUpperCase());
  if (!block) {
    leaveOut(`missing block ${name}`);
    return;
  }
  const [columns, rows] = [Math.max(1, number(e, 70, 1)), Math.max(1, number(e, 71, 1))];
  if (columns * rows > MOST_PIECES) throw new Unread(TOO_MANY);
  for (let i = 0; i < columns * rows; i++) {
    const map = copyMap(e, block, { column: i % columns, row: Math.floor(i / columns) }, place.map);
    for (const inside of block.entities) draw(inside, { map, layer: place.layer, depth: place.depth + 1 }, onto);
  }
}

/** One copy of a block: moved, turned in degrees, scaled, in its row and column. */
function copyMap(e: Entity, { head }: Block, at: { readonly column: number; readonly row: number }, outer: Map2): Map2 {
  const to = pair(e, 10);
  const base: Point = { x: number(head, 10, 0), y: number(head, 20, 0) };
  const [sx, sy] = [number(e, 41, 1), number(e, 42, 1)];
  const turn = (number(e, 50, 0) * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const [ox, oy] = [at.column * number(e, 44, 0), at.row * number(e, 45, 0)];
  const whole = facing(e, outer);
  return (p) => {
    const [x, y] = [(p.x - base.x) * sx + ox, (p.y - base.y) * sy + oy];
    return whole({ x: to.x + c * x - s * y, y: to.y + s * x + c * y });
  };
}

/** Kinds whose points are in the drawing's own space, whichever way they face. */
const IN_THE_WORLD = new Set(['LINE', 'SPLINE', 'ELLIPSE']);

/** What faces away from the eye is mirrored in x [std: DXF, arbitrary axis]. Throws Unread, by its name and line, for what stands at a tilt. */
function facing(e: Entity, outer: Map2): Map2 {
  const [x, y, z] = [number(e, 210, 0), number(e, 220, 0), number(e, 230, 1)];
  const matters = e.type !== 'LINE' && e.type !== 'SPLINE';
  if (matters && Math.hypot(x, y) > 1e-6 * Math.abs(z)) throw new Unread(`tilted ${e.type}, line ${e.line}`);
  return z < 0 && !IN_THE_WORLD.has(e.type) ? (p) => outer({ x: -p.x, y: p.y }) : outer;
}
