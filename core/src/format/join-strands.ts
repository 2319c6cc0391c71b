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
    let grown = seed;
    for (;;) {
      const gap = apart(first(grown), last(grown));
      if (grown.vertices.length > 2 && gap <= tolerance) {
        widest = Math.max(widest, gap);
        grown = { ...grown, vertices: grown.vertices.slice(0, -1), closed: true };
        break;
      }
      const next = grid.nearest(last(grown), used);
      if (!next) {
        const back = grid.nearest(first(grown), used);
        if (!back) break;
        grown = reversed(grown);
        continue;
      }
      used.add(next.strand);
      joins += 1;
      widest = Math.max(widest, next.gap);
      const piece = next.atEnd ? reversed(next.strand) : next.strand;
      grown = { ...grown, vertices: [...grown.vertices.slice(0, -1), ...piece.vertices] };
    }
    done.push(grown);
  }
  return { strands: done, joins, widest };
}

/** Ends by the square of the plan they lie in. */
class EndGrid {
  private readonly cells = new Map<string, { readonly strand: Strand; readonly atEnd: boolean }[]>();

  constructor(
    strands: readonly Strand[],
    private readonly size: number,
  ) {
    for (const strand of strands) {
      for (const atEnd of [false, true]) {
        const key = this.key(atEnd ? last(strand) : first(strand), 0, 0);
        this.cells.set(key, [...(this.cells.get(key) ?? []), { strand, atEnd }]);
      }
    }
  }

  nearest(p: Point, used: ReadonlySet<Strand>): { readonly strand: Strand; readonly atEnd: boolean; readonly gap: number } | null {
    let best: { readonly strand: Strand; readonly atEnd: boolean; readonly gap: number } | null = null;
    for (const dx of [-1, 0, 1]) {
      for (const dy of [-1, 0, 1]) {
        for (const end of this.cells.get(this.key(p, dx, dy)) ?? []) {
          const gap = apart(p, end.atEnd ? last(end.strand) : first(end.strand));
          if (!used.has(end.strand) && gap <= this.size && gap < (best?.gap ?? Infinity)) best = { ...end, gap };
        }
      }
    }
    return best;
  }

  private key(p: Point, dx: number, dy: number): string {
    return `${Math.floor(p.x / this.size) + dx} ${Math.floor(p.y / this.size) + dy}`;
  }
}
