import type { Branch } from './branch.js';
import type { Circuit, Lug } from './circuit.js';
import { branchesOf, joinsOf, lugsOf } from './kinds/index.js';
import { turnOf, type Setting } from './setting.js';

/** A branch between numbered lugs, with the element that it belongs to. */
export type PlacedBranch = Branch<number> & { readonly element: string };

/** The lugs of a circuit numbered and its joints laid, once: what every setting of it starts from. */
export interface Wired {
  readonly circuit: Circuit;
  readonly numbers: ReadonlyMap<string, ReadonlyMap<string, number>>;
  readonly branches: readonly PlacedBranch[];
  /** The joints alone, as parents of a union-find over the lugs. */
  readonly parents: Int32Array;
}

/** A circuit at one setting: which lugs are one node. */
export interface Netlist {
  readonly count: number;
  /** The node of each numbered lug. */
  readonly node: Int32Array;
  readonly branches: readonly PlacedBranch[];
  /** The turn of an element's shaft. */
  readonly turns: ReadonlyMap<string, number>;
  /** The node of a lug; throws RangeError where there is no such lug. */
  readonly nodeOf: (lug: Lug) => number;
}

/** Numbers a circuit's lugs and lays its joints. Throws RangeError for a joint to a lug that is not there, or of a lug to itself. */
export function wired(circuit: Circuit): Wired {
  const numbers = new Map<string, ReadonlyMap<string, number>>();
  let count = 0;
  for (const e of circuit.elements) {
    const of = new Map<string, number>();
    for (const l of lugsOf(e)) of.set(l, count++);
    numbers.set(e.id, of);
  }
  const parents = eachByItself(count);
  for (const { a, b } of circuit.joints) {
    if (a.element === b.element && a.lug === b.lug) throw new RangeError(`a lug is joined to itself: ${a.element} ${a.lug}`);
    join(parents, numberOf(numbers, a.element, a.lug), numberOf(numbers, b.element, b.lug));
  }
  const branches = circuit.elements.flatMap((e) => {
    const at = (lug: string): number => numberOf(numbers, e.id, lug);
    return branchesOf(e).map((b): PlacedBranch => ({ ...placed(b, at), element: e.id }));
  });
  return { circuit, numbers, branches, parents };
}

function numberOf(numbers: Wired['numbers'], element: string, lug: string): number {
  const n = numbers.get(element)?.get(lug);
  if (n === undefined) throw new RangeError(`no such lug: ${element} ${lug}`);
  return n;
}

/** A union-find in which nothing is joined yet. */
export function eachByItself(count: number): Int32Array {
  const parents = new Int32Array(count);
  for (let i = 0; i < count; i++) parents[i] = i;
  return parents;
}

/** The representative of a set, with its path halved. */
export function rootOf(parents: Int32Array, n: number): number {
  let at = n;
  for (let up = parents[at] ?? at; up !== at; up = parents[at] ?? at) {
    parents[at] = parents[up] ?? up;
    at = parents[at] ?? at;
  }
  return at;
}

export function join(parents: Int32Array, a: number, b: number): void {
  const x = rootOf(parents, a);
  const y = rootOf(parents, b);
  if (x < y) parents[y] = x;
  else parents[x] = y;
}

/** The netlist of a circuit at a setting; closed contacts are one node, never a small resistor. */
export function netlistOf({ circuit, numbers, branches, parents: joints }: Wired, setting: Setting): Netlist {
  const parents = joints.slice();
  const turns = new Map<string, number>();
  for (const e of circuit.elements) {
    if (e.kind === 'pot') turns.set(e.id, turnOf(setting, e));
    for (const [a, b] of joinsOf(e, setting)) join(parents, numberOf(numbers, e.id, a), numberOf(numbers, e.id, b));
  }
  // roots come before what hangs on them: one pass numbers all
  const node = new Int32Array(parents.length);
  let count = 0;
  for (let n = 0; n < parents.length; n++) {
    const root = rootOf(parents, n);
    node[n] = root === n ? count++ : (node[root] ?? 0);
  }
  return { count, node, branches, turns, nodeOf: ({ element, lug }) => node[numberOf(numbers, element, lug)] ?? 0 };
}

function placed(b: Branch<string>, at: (lug: string) => number): Branch<number> {
  switch (b.kind) {
    case 'resistor':
    case 'capacitor':
      return { ...b, a: at(b.a), b: at(b.b) };
    case 'track':
      return { ...b, low: at(b.low), wiper: at(b.wiper), high: at(b.high) };
    case 'coil':
      return { ...b, start: at(b.start), finish: at(b.finish) };
    case 'buffer':
      return { ...b, input: at(b.input), output: at(b.output), ground: at(b.ground) };
  }
}
