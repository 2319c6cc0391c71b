import { blockOfFirst, type GraphEdge } from './block.js';
import type { Lug } from './circuit.js';
import { eachByItself, join, rootOf, type Netlist } from './netlist.js';
import { trackShare } from './taper.js';

/** What hangs at the jack: the capacitance of the cable, F, and the input of the amplifier, Ω. */
export interface Load {
  readonly farad: number;
  readonly ohms: number;
}

/** A usual lead and amplifier [trade: docs/trade/wire.md, Cable and amplifier]. */
export const USUAL_LOAD: Load = { farad: 500e-12, ohms: 1e6 };

/** A coil or a piezo as a source in the network; `loss` Infinity: none. */
export interface Source {
  readonly kind: 'source';
  readonly a: number;
  readonly b: number;
  readonly element: string;
  readonly name: string;
  readonly ohms: number;
  readonly henry: number;
  readonly loss: number;
  /** A piezo's; 0: a coil. */
  readonly farad: number;
  /** What a string that is struck drives it by: winding and magnet; and what hum does: winding alone, a piezo not at all. */
  readonly drive: number;
  readonly hum: number;
}

/** A resistance, Ω, or a capacitance, F, between nodes. */
export interface Between {
  readonly kind: 'resistor' | 'capacitor';
  readonly a: number;
  readonly b: number;
  readonly value: number;
}

/** A preamp from the node of its input to that of its output, above its ground. */
export interface PlacedBuffer {
  readonly kind: 'buffer';
  readonly a: number;
  readonly b: number;
  readonly ground: number;
  readonly gain: number;
  readonly inputOhms: number;
  readonly sourceOhms: number;
}

type Part = Source | Between | PlacedBuffer;

/** A circuit for alternating current, with its load on. Node −1 is the sleeve, the tip is the last; what changes nothing at the jack is left out. */
export interface Network {
  readonly nodes: number;
  /** The node of the tip; −1: it is shorted to the sleeve. */
  readonly tip: number;
  readonly passive: readonly Between[];
  readonly sources: readonly Source[];
  readonly buffers: readonly PlacedBuffer[];
  /** Elements whose value for alternating current nobody knows. */
  readonly unknown: readonly string[];
}

const TIP: Lug = { element: 'jack', lug: 'tip' };
const SLEEVE: Lug = { element: 'jack', lug: 'sleeve' };

/** The network of a netlist between tip and sleeve with a load. Throws RangeError for a load that is not positive. */
export function networkOf(netlist: Netlist, load: Load, tip: Lug = TIP, sleeve: Lug = SLEEVE): Network {
  if (!(load.ohms > 0) || !(load.farad >= 0)) throw new RangeError('a load is an input of some ohms and a cable of no less than nothing');
  const { node, turns } = netlist;
  const at = (lug: number): number => node[lug] ?? 0;
  const parents = eachByItself(netlist.count);
  const [hot, cold] = [netlist.nodeOf(tip), netlist.nodeOf(sleeve)];
  const parts: Part[] = [
    { kind: 'resistor', a: hot, b: cold, value: load.ohms },
    { kind: 'capacitor', a: hot, b: cold, value: load.farad },
  ];
  const unknown: string[] = [];
  const resistor = (a: number, b: number, value: number): void => {
    if (value === 0) join(parents, a, b);
    else parts.push({ kind: 'resistor', a, b, value });
  };
  for (const br of netlist.branches) {
    switch (br.kind) {
      case 'resistor':
        resistor(at(br.a), at(br.b), br.ohms.value);
        break;
      case 'track': {
        const turn = turns.get(br.element) ?? 1;
        const share = trackShare(br.taper, turn);
        if (turn === br.freeAt) resistor(at(br.low), at(br.high), br.ohms.value);
        else {
          resistor(at(br.low), at(br.wiper), share * br.ohms.value);
          resistor(at(br.wiper), at(br.high), (1 - share) * br.ohms.value);
        }
        break;
      }
      case 'capacitor':
        if (br.piezo) parts.push({ ...PIEZO, a: at(br.a), b: at(br.b), element: br.element, farad: br.farad.value });
        else parts.push({ kind: 'capacitor', a: at(br.a), b: at(br.b), value: br.farad.value });
        break;
      case 'coil': {
        const [a, b] = [at(br.start), at(br.finish)];
        if (br.farad) parts.push({ kind: 'capacitor', a, b, value: br.farad.value });
        if (br.broken) break;
        if (br.ohms === null || br.henry === null) unknown.push(br.element);
        else {
          const { element, name } = br;
          parts.push({
            kind: 'source',
            a,
            b,
            element,
            name,
            ohms: br.ohms.value,
            henry: br.henry.value,
            loss: br.loss?.value ?? Infinity,
            farad: 0,
            drive: br.winding * br.magnet,
            hum: br.winding,
          });
        }
        break;
      }
      case 'buffer': {
        const values = { gain: br.gain.value, inputOhms: br.inputOhms.value, sourceOhms: br.sourceOhms.value };
        parts.push({ kind: 'buffer', a: at(br.input), b: at(br.output), ground: at(br.ground), ...values });
        break;
      }
    }
  }
  return numbered(parts, parents, hot, cold, unknown);
}

const PIEZO = { kind: 'source', name: '', ohms: 0, henry: 0, loss: Infinity, drive: 1, hum: 0 } as const;

/** Leaves out what changes nothing at the jack, and numbers what is left with the tip last. The first of `parts` lies between tip and sleeve. */
function numbered(parts: readonly Part[], parents: Int32Array, tip: number, sleeve: number, unknown: readonly string[]): Network {
  const root = (n: number): number => rootOf(parents, n);
  const edges: GraphEdge[] = [];
  const owner: Part[] = [];
  const edge = (of: Part, a: number, b: number): void => {
    edges.push({ a: root(a), b: root(b) });
    owner.push(of);
  };
  for (const p of parts) {
    edge(p, p.a, p.b);
    // a buffer holds its three nodes together
    if (p.kind === 'buffer') {
      edge(p, p.b, p.ground);
      edge(p, p.ground, p.a);
    }
  }
  const inBlock = blockOfFirst(parents.length, edges);
  const [hot, cold] = [root(tip), root(sleeve)];
  const numbers = new Int32Array(parents.length).fill(-1);
  let nodes = 0;
  for (let i = 0; i < edges.length; i++) {
    if (!inBlock[i]) continue;
    const { a, b } = edges[i] ?? { a: cold, b: cold };
    for (const n of [a, b]) if (numbers[n] === -1 && n !== hot && n !== cold) numbers[n] = nodes++;
  }
  if (hot !== cold) numbers[hot] = nodes++;
  const passive: Between[] = [];
  const sources: Source[] = [];
  const buffers: PlacedBuffer[] = [];
  const at = (n: number): number => numbers[root(n)] ?? -1;
  let last: Part | null = null;
  for (let i = 0; i < owner.length; i++) {
    const p = owner[i];
    if (!p || !inBlock[i] || p === last) continue;
    last = p;
    if (p.kind === 'source') sources.push({ ...p, a: at(p.a), b: at(p.b) });
    else if (p.kind === 'buffer') buffers.push({ ...p, a: at(p.a), b: at(p.b), ground: at(p.ground) });
    else passive.push({ kind: p.kind, a: at(p.a), b: at(p.b), value: p.value });
  }
  return { nodes, tip: at(tip), passive, sources, buffers, unknown };
}
