import type { Circuit, PickupElement } from '../circuit.js';
import { eachByItself, join, netlistOf, rootOf, wired, type Wired } from '../netlist.js';
import type { Setting } from '../setting.js';
import { coilLug, trackLug } from '../kinds/index.js';

/** Coils as they lie between hot and ground. `turned`: winding · magnet · connection is −1. */
export type CoilTree =
  | { readonly kind: 'coil'; readonly pickup: string; readonly coil: string; readonly turned: boolean }
  | { readonly kind: 'series' | 'parallel'; readonly of: readonly CoilTree[] };

/** What reaches the jack: nothing, coils in series and parallel, or what cannot be said by series and parallel. */
export type HeardAt = CoilTree | 'silent' | 'bridged';

interface Edge {
  readonly a: number;
  readonly b: number;
  readonly heard: CoilTree;
}

/**
 * What lies between tip and sleeve at a setting, volumes full up, by series and parallel reduction [law]: loops and loose ends carry nothing and fall away. Resistors
 * and tones count as open.
 */
export function heardAt(circuit: Circuit, setting: Setting, on: Wired = wired(circuit)): HeardAt {
  const n = netlistOf(on, setting);
  const parents = eachByItself(n.count);
  for (const e of circuit.elements) {
    if (e.kind === 'preamp') join(parents, n.nodeOf({ element: e.id, lug: 'in' }), n.nodeOf({ element: e.id, lug: 'out' }));
    if (e.kind !== 'pot' || (e.does !== 'volume' && e.does !== 'blend')) continue;
    e.tracks.forEach((_, i) => {
      const up = e.does === 'blend' ? (i === 0 ? 3 : 1) : e.reverse ? 1 : 3;
      join(parents, n.nodeOf({ element: e.id, lug: trackLug(i, 2) }), n.nodeOf({ element: e.id, lug: trackLug(i, up) }));
    });
  }
  const at = (element: string, lug: string): number => rootOf(parents, n.nodeOf({ element, lug }));
  const [tip, sleeve] = [at('jack', 'tip'), at('jack', 'sleeve')];
  if (tip === sleeve) return 'silent';
  const pickups = circuit.elements.filter((e) => e.kind === 'pickup');
  return reduced(
    pickups.flatMap((p) => p.coils.map((c): Edge => ({ a: at(p.id, coilLug(c.name, 'start')), b: at(p.id, coilLug(c.name, 'finish')), heard: coilOf(p, c) }))),
    tip,
    sleeve,
  );
}

/** With its start towards the hot. */
const coilOf = (p: PickupElement, c: PickupElement['coils'][0]): CoilTree => ({ kind: 'coil', pickup: p.id, coil: c.name, turned: c.winding * c.magnet < 0 });

/** The other way about. */
function turned(h: CoilTree): CoilTree {
  return h.kind === 'coil' ? { ...h, turned: !h.turned } : { ...h, of: h.of.map(turned) };
}

const together = (kind: 'series' | 'parallel', a: CoilTree, b: CoilTree): CoilTree => ({ kind, of: [a, b].flatMap((h) => (h.kind === kind ? h.of : [h])) });

function reduced(all: readonly Edge[], tip: number, sleeve: number): HeardAt {
  let edges = all.filter((e) => e.a !== e.b);
  for (let again = true; again;) {
    again = false;
    const ends = new Map<number, Edge[]>();
    for (const e of edges) for (const n of [e.a, e.b]) ends.set(n, [...(ends.get(n) ?? []), e]);
    const loose = edges.filter((e) => [e.a, e.b].some((n) => n !== tip && n !== sleeve && ends.get(n)?.length === 1));
    if (loose.length > 0) {
      edges = edges.filter((e) => !loose.includes(e));
      again = true;
      continue;
    }
    const pair = pairOf(edges, ends, tip, sleeve);
    if (pair) {
      edges = [...edges.filter((e) => !pair.of.includes(e)), pair.as].filter((e) => e.a !== e.b);
      again = true;
    }
  }
  // what hangs together apart from tip and sleeve is not heard
  const heard = edges.filter((e) => reaches(edges, e, tip) && reaches(edges, e, sleeve));
  const [only] = heard;
  if (!only) return 'silent';
  if (heard.length > 1) return 'bridged';
  return sorted(only.a === tip ? only.heard : turned(only.heard));
}

function pairOf(
  edges: readonly Edge[],
  ends: ReadonlyMap<number, readonly Edge[]>,
  tip: number,
  sleeve: number,
): { readonly of: readonly Edge[]; readonly as: Edge } | null {
  for (const e of edges) {
    const beside = edges.find((f) => f !== e && ((f.a === e.a && f.b === e.b) || (f.a === e.b && f.b === e.a)));
    if (beside) return { of: [e, beside], as: { ...e, heard: together('parallel', e.heard, beside.a === e.a ? beside.heard : turned(beside.heard)) } };
  }
  for (const [n, here] of ends) {
    const [e, f] = here;
    if (n === tip || n === sleeve || here.length !== 2 || !e || !f) continue;
    const first = e.b === n ? e : { a: e.b, b: e.a, heard: turned(e.heard) };
    const second = f.a === n ? f : { a: f.b, b: f.a, heard: turned(f.heard) };
    return { of: [e, f], as: { a: first.a, b: second.b, heard: together('series', first.heard, second.heard) } };
  }
  return null;
}

function reaches(edges: readonly Edge[], from: Edge, to: number): boolean {
  const seen = new Set([from.a, from.b]);
  for (let size = 0; size !== seen.size;) {
    size = seen.size;
    for (const e of edges)
      if (seen.has(e.a) || seen.has(e.b)) {
        seen.add(e.a);
        seen.add(e.b);
      }
  }
  return seen.has(to);
}

/** The order of coils in series or in parallel makes no difference. */
function sorted(h: CoilTree): CoilTree {
  if (h.kind === 'coil') return h;
  const of = h.of.map(sorted);
  return { ...h, of: of.toSorted((x, y) => JSON.stringify(x).localeCompare(JSON.stringify(y))) };
}

/** A key of what is heard; all of it turned about sounds the same. */
export function heardKey(h: HeardAt): string {
  if (typeof h === 'string') return h;
  return [h, turned(h)].map((x) => JSON.stringify(sorted(x))).toSorted()[0] ?? '';
}
