import type { Point, Vertex } from '../shape/index.js';
import { reversed, type Strand } from './strand.js';

export interface Joined {
  readonly strands: readonly Strand[];
  readonly joins: number;
  /** The widest gap that was closed, mm. */
  readonly widest: number;
}

const apart = (p: Point, q: Point): number => Math.hypot(p.x - q.x, p.y - q.y);
const first = (s: Strand): Vertex => s.vertices[0] ?? { x: NaN, y: NaN, bulge: 0 };
const last = (s: Strand): Vertex => s.vertices[s.vertices.length - 1] ?? { x: NaN, y: NaN, bulge: 0 };

/** Joins open strands whose ends lie within a tolerance, nearest first at each end, and closes those that come back to their beginning. */
export function joinStrands(all: readonly Strand[], tolerance: number): Joined {
  const done: Strand[] = all.filter((s) => s.closed);
  const open = all.filter((s) => !s.closed && s.vertices.length > 1);
  const grid = new EndGrid(open, tolerance);
  const used = new Set<Strand>();
  let [joins, widest] = [0, 0];
  for (const seed of open) {
    if (used.has(seed)) continue;
    used.add(seed);
    const grown = [...seed.vertices];
    let isClosed = false;
    let turned = false;
    for (;;) {
      const [begin, end] = [grown[0], grown[grown.length - 1]];
      if (!begin || !end) break;
      const gap = apart(begin, end);
      const next = grid.nearest(end, used);
      // pieces may be shorter than the tolerance: a way closes only where nothing leads on that lies nearer
      if (grown.length > 2 && gap <= tolerance && gap <= (next?.gap ?? Infinity)) {
        widest = Math.max(widest, gap);
        grown.pop();
        isClosed = true;
        break;
      }
      if (!next) {
        // nothing more at this end: the other one, once
        if (turned) break;
        turned = true;
        const back = reversed({ ...seed, vertices: grown, closed: false }).vertices;
        grown.length = 0;
        for (const v of back) grown.push(v);
        continue;
      }
      used.add(next.strand);
      joins += 1;
      widest = Math.max(widest, next.gap);
      grown.pop();
      for (const v of (next.atEnd ? reversed(next.strand) : next.strand).vertices) grown.push(v);
    }
    done.push({ ...seed, vertices: grown, closed: isClosed });
  }
  return { strands: done, joins, widest };
}

interface End {
  readonly strand: Strand;
  readonly atEnd: boolean;
}

/** So many tolerances wide is a square of the plan: an end lies near the edge of its own seldom enough. */
const WIDE = 16;

/** Ends by the square of the plan they lie in. */
class EndGrid {
  private readonly cells = new Map<string, End[]>();
  private readonly size: number;

  constructor(
    strands: readonly Strand[],
    private readonly tolerance: number,
  ) {
    this.size = WIDE * tolerance;
    for (const strand of strands) {
      for (const atEnd of [false, true]) {
        const p = atEnd ? last(strand) : first(strand);
        const key = `${Math.floor(p.x / this.size)} ${Math.floor(p.y / this.size)}`;
        const there = this.cells.get(key);
        if (there) there.push({ strand, atEnd });
        else this.cells.set(key, [{ strand, atEnd }]);
      }
    }
  }

  nearest(p: Point, used: ReadonlySet<Strand>): (End & { readonly gap: number }) | null {
    let best: (End & { readonly gap: number }) | null = null;
    const from = (v: number): number => Math.floor((v - this.tolerance) / this.size);
    const to = (v: number): number => Math.floor((v + this.tolerance) / this.size);
    for (let x = from(p.x); x <= to(p.x); x++) {
      for (let y = from(p.y); y <= to(p.y); y++) {
        const ends = this.cells.get(`${x} ${y}`);
        if (!ends) continue;
        for (let i = ends.length - 1; i >= 0; i--) {
          const end = ends[i];
          if (!end) continue;
          if (used.has(end.strand)) {
            // never asked for again
            ends[i] = ends[ends.length - 1] ?? end;
            ends.pop();
            continue;
          }
          const gap = apart(p, end.atEnd ? last(end.strand) : first(end.strand));
          if (gap <= this.tolerance && gap < (best?.gap ?? Infinity)) best = { ...end, gap };
          if (gap === 0) return best;
        }
      }
    }
    return best;
  }
}
