/** An edge of a graph between two numbered nodes. */
export interface GraphEdge {
  readonly a: number;
  readonly b: number;
}

/**
 * The edges that lie on a cycle with the first one: its block of the graph [law: Tarjan's biconnected components]. Current that enters anything else through one node
 * must leave it by the same, so that it changes nothing between the ends of the first edge. 1 at each edge that belongs to it; edges from a node to itself never do.
 */
export function blockOfFirst(nodes: number, edges: readonly GraphEdge[]): Uint8Array {
  const inBlock = new Uint8Array(edges.length);
  const [first] = edges;
  if (!first || first.a === first.b) return inBlock;
  // the edges of a node as a chain: end 2i of edge i at its a, end 2i + 1 at its b
  const head = new Int32Array(nodes).fill(-1);
  const next = new Int32Array(2 * edges.length);
  for (let i = edges.length - 1; i >= 0; i--) {
    const { a, b } = edges[i] ?? first;
    if (a === b) continue;
    next[2 * i] = head[a] ?? -1;
    head[a] = 2 * i;
    next[2 * i + 1] = head[b] ?? -1;
    head[b] = 2 * i + 1;
  }
  const found = new Int32Array(nodes).fill(-1);
  const low = new Int32Array(nodes);
  const stack: number[] = [];
  let order = 0;
  const visit = (node: number, by: number): void => {
    found[node] = low[node] = order++;
    for (let end = head[node] ?? -1; end >= 0; end = next[end] ?? -1) {
      const i = end >> 1;
      if (i === by) continue;
      const e = edges[i] ?? first;
      const other = (end & 1) === 0 ? e.b : e.a;
      const seen = found[other] ?? -1;
      if (seen < 0) {
        stack.push(i);
        visit(other, i);
        low[node] = Math.min(low[node] ?? 0, low[other] ?? 0);
        // what lies beyond comes back to this node at best: a block ends here
        if ((low[other] ?? 0) >= (found[node] ?? 0)) {
          const block = stack.splice(stack.lastIndexOf(i));
          if (block[0] === 0 || block.includes(0)) for (const k of block) inBlock[k] = 1;
        }
      } else if (seen < (found[node] ?? 0)) {
        stack.push(i);
        low[node] = Math.min(low[node] ?? 0, seen);
      }
    }
  };
  visit(first.a, -1);
  return inBlock;
}
