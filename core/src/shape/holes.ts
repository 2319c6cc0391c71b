import { containsPoint, regionContains } from './contains.js';
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
    holes = loopsOf(regionBoundary(region)).filter((loop) => {
      const inside = insideOf(loop);
      return inside !== null && !regionContains(region, inside);
    });
    known.set(region, holes);
  }
  return holes;
}

/** The closed ways that an edge consists of; its pieces may come in any order and run either way. */
function loopsOf(edge: readonly Segment[]): readonly Outline[] {
  const rest = runsOf(edge);
  const loops: Outline[] = [];
  const same = (a: Point | undefined, b: Point | undefined): boolean => a !== undefined && b !== undefined && Math.hypot(a.x - b.x, a.y - b.y) < SAME;
  for (let points = rest.shift(); points; points = rest.shift()) {
    for (;;) {
      const end = points.at(-1);
      const next = rest.findIndex((r) => same(r[0], end) || same(r.at(-1), end));
      const [run] = next < 0 ? [] : rest.splice(next, 1);
      if (!run) break;
      points.push(...(same(run[0], end) ? run : run.reverse()).slice(1));
    }
    loops.push({ vertices: points.map((p) => ({ ...p, bulge: 0 })) });
  }
  return loops;
}

/** Pieces that follow one another as they come, as points: nearly all of an edge does. */
function runsOf(edge: readonly Segment[]): Point[][] {
  const runs: Point[][] = [];
  for (const s of edge) {
    const last = runs.at(-1);
    const end = last?.at(-1);
    if (last && end?.x === s.from.x && end.y === s.from.y) last.push(...pointsOf(s).slice(1));
    else runs.push([...pointsOf(s)]);
  }
  return runs;
}

function pointsOf(s: Segment): readonly Point[] {
  if (s.kind === 'line') return [s.from, s.to];
  return Array.from({ length: PIECES + 1 }, (_, i) => pointAt(s, i / PIECES));
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
