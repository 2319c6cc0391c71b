import { lugKey, type Circuit, type Lug } from './circuit.js';
import { lugsOf } from './kinds/index.js';
import { coilLug } from './kinds/coil-lug.js';
import { eachByItself, join, rootOf, type Netlist } from './netlist.js';

/** What is wrong with how lugs hang together at a setting, named by its terminals. */
export type LooseEnd =
  /** Both ends of a coil, or of a part, are one node: it gives nothing. */
  | { readonly kind: 'shorted'; readonly a: Lug; readonly b: Lug }
  /** No way leads from these ends to the jack. */
  | { readonly kind: 'floating'; readonly lugs: readonly Lug[] }
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
    const lugs =
      b.kind === 'coil'
        ? [b.start, b.finish]
        : b.kind === 'track'
          ? [b.low, b.wiper, b.high]
          : b.kind === 'buffer'
            ? [b.input, b.output, b.ground]
            : [b.a, b.b];
    for (const l of lugs.slice(1)) join(parents, node[lugs[0] ?? 0] ?? 0, node[l] ?? 0);
  }
  const reaches = (n: number): boolean => [tip, sleeve].some((j) => rootOf(parents, j) === rootOf(parents, n));
  for (const e of elements) {
    if (e.kind !== 'pickup') continue;
    for (const c of e.coils) {
      const [a, b] = (['start', 'finish'] as const).map((end): Lug => ({ element: e.id, lug: coilLug(c.name, end) }));
      if (!a || !b) continue;
      if (nodeOf(a) === nodeOf(b)) out.push({ kind: 'shorted', a, b });
      else if (!reaches(nodeOf(a))) out.push({ kind: 'floating', lugs: [a, b] });
    }
  }
  return out;
}
