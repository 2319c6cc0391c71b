import { containsPoint, regionContains } from './contains.js';
import { segmentBox } from './distance.js';
import type { Bounds } from './measures.js';
import { pointAt, type Outline, type Point, type Segment } from './outline.js';
import { regionBoundary, type Region } from './region.js';

/** Ends of an edge's pieces nearer than this are one, mm. */
const SAME = 1e-5;
/** So far from an edge a point is surely on one side of it, mm. */
const ASIDE = 1e-3;
/** Straight pieces that an arc of a hole is told in. */
const PIECES = 8;

const known = new WeakMap<Region, readonly Outline[]>();

/** What a region goes round and leaves standing: islands, told in straight pieces. */
export function holesOf(region: Region): readonly Outline[] {
  if (region.length < 2) return [];
  let holes = known.get(region);
  if (!holes) {
    holes = enclosed(loopsOf(regionBoundary(region))).flatMap((loop): readonly Outline[] => {
      const outline = { vertices: loop.flatMap(pointsOf) };
      const inside = insideOf(outline);
      return inside !== null && !regionContains(region, inside) ? [outline] : [];
    });
    known.set(region, holes);
  }
  return holes;
}

/** The loops that begin in the box of another: no island begins elsewhere. */
function enclosed(loops: readonly Loop[]): readonly Loop[] {
  if (loops.length < 2) return [];
  const boxes = loops.map(boxOf);
  return loops.filter((loop, i) => boxes.some((b, j) => i !== j && holds(b, startOf(loop))));
}

function holds(b: Bounds, { x, y }: Point): boolean {
  return x >= b.minX && x <= b.maxX && y >= b.minY && y <= b.maxY;
}

/** A box that holds a loop; round its arcs it may be too wide. */
function boxOf(loop: Loop): Bounds {
  const box = { minX: Infinity, minY: Infinity, maxX: -Infinity, maxY: -Infinity };
  for (const s of loop) {
    const b = segmentBox(s);
    box.minX = Math.min(box.minX, b.minX);
    box.minY = Math.min(box.minY, b.minY);
    box.maxX = Math.max(box.maxX, b.maxX);
    box.maxY = Math.max(box.maxY, b.maxY);
  }
  return box;
}

/** A closed way along an edge. */
type Loop = readonly Segment[];

const same = (a: Point, b: Point): boolean => Math.abs(a.x - b.x) < SAME && Math.abs(a.y - b.y) < SAME;

/** The closed ways that an edge consists of; its pieces may come in any order and run either way. */
function loopsOf(edge: readonly Segment[]): readonly Loop[] {
  const rest = runsOf(edge);
  const loops: Loop[] = [];
  for (let loop = rest.shift(); loop; loop = rest.shift()) {
    for (;;) {
      const end = endOf(loop);
      const next = rest.findIndex((r) => same(startOf(r), end) || same(endOf(r), end));
      const [run] = next < 0 ? [] : rest.splice(next, 1);
      if (!run) break;
      loop.push(...(same(startOf(run), end) ? run : run.toReversed().map(reversed)));
    }
    loops.push(loop);
  }
  return loops;
}

const NOWHERE: Point = { x: NaN, y: NaN };
const startOf = (run: Loop): Point => run[0]?.from ?? NOWHERE;
const endOf = (run: Loop): Point => run.at(-1)?.to ?? NOWHERE;

/** Pieces that follow one another as they come: nearly all of an edge does. */
function runsOf(edge: readonly Segment[]): Segment[][] {
  const runs: Segment[][] = [];
  for (const s of edge) {
    const last = runs.at(-1);
    const end = last?.at(-1)?.to;
    if (last && end?.x === s.from.x && end.y === s.from.y) last.push(s);
    else runs.push([s]);
  }
  return runs;
}

function reversed(s: Segment): Segment {
  const { from: to, to: from } = s;
  return s.kind === 'line' ? { ...s, from, to } : { ...s, from, to, start: s.start + s.sweep, sweep: -s.sweep };
}

/** The corners of a piece but its last, which the next begins with. */
function pointsOf(s: Segment): readonly { readonly x: number; readonly y: number; readonly bulge: 0 }[] {
  if (s.kind === 'line') return [{ ...s.from, bulge: 0 }];
  return Array.from({ length: PIECES }, (_, i) => ({ ...pointAt(s, i / PIECES), bulge: 0 }));
}

/** A point just within a loop, off the middle of its longest side; null for a loop with no inside. */
function insideOf(loop: Outline): Point | null {
  const v = loop.vertices;
  const long = (i: number): number => {
    const [a, b] = [v[i], v[(i + 1) % v.length]];
    return a && b ? Math.hypot(b.x - a.x, b.y - a.y) : 0;
  };
  const at = v.reduce((best, _, i) => (long(i) > long(best) ? i : best), 0);
  const [a, b] = [v[at], v[(at + 1) % v.length]];
  if (!a || !b || long(at) === 0) return null;
  const [nx, ny] = [(-(b.y - a.y) / long(at)) * ASIDE, ((b.x - a.x) / long(at)) * ASIDE];
  const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  return [1, -1].map((way) => ({ x: middle.x + way * nx, y: middle.y + way * ny })).find((p) => containsPoint(loop, p)) ?? null;
}
