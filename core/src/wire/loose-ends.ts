import { lugKey, type Circuit, type Lug } from './circuit.js';
import { lugsOf } from './kinds/index.js';
import { coilLug } from './kinds/coil-lug.js';
import { eachByItself, join, rootOf, type Netlist, type PlacedBranch } from './netlist.js';

/** What is wrong with how lugs hang together at a setting, named by its terminals. */
export type LooseEnd =
  /** Both ends of a coil, or of a part, are one node: it gives nothing. */
  | { readonly kind: 'shorted'; readonly a: Lug; readonly b: Lug }
  /** No way leads from these ends to the jack. */
  | { readonly kind: 'floating'; readonly lugs: readonly Lug[] }
  /** One end is free, and through the coil it hangs on what carries the signal: an antenna. */
  | { readonly kind: 'hanging'; readonly lug: Lug }
  /** Tip and sleeve are one node: silent. */
  | { readonly kind: 'silent' };

/** Lugs that nobody has traced: they are in no joint, and nobody said that nothing is on them. */
export function toTrace({ elements, joints, bare }: Circuit): readonly Lug[] {
  const seen = new Set([...joints.flatMap((j) => [lugKey(j.a), lugKey(j.b)]), ...bare.map(lugKey)]);
  return elements.flatMap((e) => lugsOf(e).map((lug): Lug => ({ element: e.id, lug }))).filter((l) => !seen.has(lugKey(l)));
}

/** What of the pickups is shorted or floats at a setting, and whether the jack is silent. */
export function looseEnds({ elements }: Circuit, netlist: Netlist): readonly LooseEnd[] {
  const { node, nodeOf } = netlist;
  const [tip, sleeve] = [nodeOf({ element: 'jack', lug: 'tip' }), nodeOf({ element: 'jack', lug: 'sleeve' })];
  const out: LooseEnd[] = tip === sleeve ? [{ kind: 'silent' }] : [];
  // whatever current can go through holds nodes together
  const parents = eachByItself(netlist.count);
  for (const b of netlist.branches) {
    const lugs = lugsOfBranch(b);
    for (const l of lugs.slice(1)) join(parents, node[lugs[0] ?? 0] ?? 0, node[l] ?? 0);
  }
  const hot = tip === sleeve ? new Set<number>() : hotOf(netlist, tip, sleeve);
  const ends = new Map<number, number>();
  for (const b of netlist.branches) for (const n of lugsOfBranch(b).map((l) => node[l] ?? 0)) ends.set(n, (ends.get(n) ?? 0) + 1);
  const isFree = (n: number): boolean => ends.get(n) === 1 && n !== tip && n !== sleeve;
  const reaches = (n: number): boolean => [tip, sleeve].some((j) => rootOf(parents, j) === rootOf(parents, n));
  for (const e of elements) {
    if (e.kind !== 'pickup') continue;
    for (const c of e.coils) {
      const [a, b] = (['start', 'finish'] as const).map((end): Lug => ({ element: e.id, lug: coilLug(c.name, end) }));
      if (!a || !b) continue;
      if (nodeOf(a) === nodeOf(b)) out.push({ kind: 'shorted', a, b });
      else if (!reaches(nodeOf(a))) out.push({ kind: 'floating', lugs: [a, b] });
      else for (const l of [a, b]) if (isFree(nodeOf(l)) && hot.has(nodeOf(l))) out.push({ kind: 'hanging', lug: l });
    }
  }
  return out;
}

/** What a branch lies between. */
const lugsOfBranch = (b: PlacedBranch): readonly number[] => {
  if (b.kind === 'coil') return [b.start, b.finish];
  if (b.kind === 'track') return [b.low, b.wiper, b.high];
  return b.kind === 'buffer' ? [b.input, b.output, b.ground] : [b.a, b.b];
};

/** Every node that hangs together with the tip by ways that do not pass ground. */
function hotOf({ branches, node }: Netlist, tip: number, sleeve: number): ReadonlySet<number> {
  const hot = new Set([tip]);
  for (let size = 0; size !== hot.size;) {
    size = hot.size;
    for (const b of branches) {
      const nodes = lugsOfBranch(b).map((l) => node[l] ?? 0);
      if (nodes.some((n) => hot.has(n))) for (const n of nodes) if (n !== sleeve) hot.add(n);
    }
  }
  return hot;
}
