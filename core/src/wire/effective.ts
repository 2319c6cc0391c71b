import { OPEN } from '../quantity/index.js';
import { join, rootOf } from './netlist.js';

/** Resistances between nodes, Ω: column by column, so that none is made anew for each reading. Infinity is no connection, 0 one node. */
export interface Edges {
  readonly nodes: number;
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly ohms: Float64Array;
}

/** Room for a sum, kept between sums of one size. */
interface Space {
  readonly parents: Int32Array;
  readonly index: Int32Array;
  readonly matrix: Float64Array;
}

const spaceFor = (nodes: number): Space => ({
  parents: new Int32Array(nodes),
  index: new Int32Array(nodes),
  matrix: new Float64Array(nodes * (nodes + 1)),
});

/** What an ohmmeter between two nodes would read, again and again over the same nodes. */
export function meterOver(nodes: number): (edges: Edges, a: number, b: number) => number {
  const space = spaceFor(nodes);
  return (edges, a, b) => between(edges, a, b, space);
}

/**
 * The resistance between two nodes, Ω [law: Kirchhoff]: 0 where they are one, OPEN where no current can flow. 8000 with 500 000 across: 7874.0.
 * What does not hang together with them is left out, so that nothing floats.
 */
function between({ nodes, from, to, ohms }: Edges, a: number, b: number, { parents, index, matrix }: Space): number {
  for (let i = 0; i < nodes; i++) parents[i] = i;
  for (let i = 0; i < ohms.length; i++) if (ohms[i] === 0) join(parents, from[i] ?? 0, to[i] ?? 0);
  const [source, sink] = [rootOf(parents, a), rootOf(parents, b)];
  if (source === sink) return 0;
  index.fill(-1);
  index[source] = 0;
  const size = reach(from, to, ohms, parents, index);
  if (index[sink] === -1) return OPEN;
  // the sink is ground: it takes no row of its own, the last one takes its number
  const ground = index[sink] ?? 0;
  const row = (node: number): number => {
    const at = index[rootOf(parents, node)] ?? -1;
    if (at === ground) return -1;
    return at > ground ? at - 1 : at;
  };
  const n = size - 1;
  const w = n + 1;
  matrix.fill(0, 0, n * w);
  const add = (i: number, j: number, g: number): void => {
    matrix[i * w + j] = (matrix[i * w + j] ?? 0) + g;
  };
  for (let k = 0; k < ohms.length; k++) {
    const r = ohms[k] ?? Infinity;
    if (!(r > 0) || r === Infinity || index[rootOf(parents, from[k] ?? 0)] === -1) continue;
    const [i, j] = [row(from[k] ?? 0), row(to[k] ?? 0)];
    if (i === j) continue;
    if (i >= 0) add(i, i, 1 / r);
    if (j >= 0) add(j, j, 1 / r);
    if (i >= 0 && j >= 0) {
      add(i, j, -1 / r);
      add(j, i, -1 / r);
    }
  }
  // the source is row 0: eliminated from the last row upwards, what is left of its diagonal is the conductance
  for (let k = n - 1; k > 0; k--) {
    const pivot = matrix[k * w + k] ?? 1;
    for (let i = 0; i < k; i++) {
      const factor = (matrix[i * w + k] ?? 0) / pivot;
      if (factor === 0) continue;
      for (let j = 0; j < k; j++) add(i, j, -factor * (matrix[k * w + j] ?? 0));
    }
  }
  return 1 / (matrix[0] ?? 0);
}

/** Numbers what hangs together with the node numbered 0; how many they are. */
function reach(from: Int32Array, to: Int32Array, ohms: Float64Array, parents: Int32Array, index: Int32Array): number {
  let count = 1;
  for (let grew = true; grew;) {
    grew = false;
    for (let k = 0; k < ohms.length; k++) {
      if (ohms[k] === Infinity) continue;
      const [x, y] = [rootOf(parents, from[k] ?? 0), rootOf(parents, to[k] ?? 0)];
      if (index[x] === -1 && (index[y] ?? -1) >= 0) index[x] = count++;
      else if (index[y] === -1 && (index[x] ?? -1) >= 0) index[y] = count++;
      else continue;
      grew = true;
    }
  }
  return count;
}
