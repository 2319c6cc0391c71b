import type { Vertex } from '../shape/index.js';

/** A line of a drawing as it was read, mm: each vertex's bulge leads to the next; the last one's is without meaning while the strand is open. */
export interface Strand {
  readonly vertices: readonly Vertex[];
  readonly closed: boolean;
  /** What it was in the file. */
  readonly of: string;
}

/** Run the other way. */
export function reversed(s: Strand): Strand {
  const n = s.vertices.length;
  const vertices = s.vertices.map((_, i) => {
    const here = s.vertices[n - 1 - i];
    const bulge = s.vertices[(2 * n - 2 - i) % n]?.bulge ?? 0;
    return { x: here?.x ?? 0, y: here?.y ?? 0, bulge: bulge === 0 ? 0 : -bulge };
  });
  return { ...s, vertices };
}
