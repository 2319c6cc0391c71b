import type { Network } from '../alternating.js';
import type { Lug } from '../circuit.js';
import { USUAL_ROOM, type Room } from '../copper.js';
import { join, rootOf, type Netlist } from '../netlist.js';
import { lay, ohmsAt, termsOf } from '../terms.js';
import { GROUND, line, type Deck, type DeckElement } from './deck.js';

/** A deck as text, with the analysis that it is for; numbers with all their digits. */
export function deckText({ title, elements }: Deck, analysis: 'response' | 'meter'): string {
  const lines = elements.map((e) => {
    const control = e.control ? ` ${e.control[0]} ${e.control[1]}` : '';
    const value = e.letter === 'V' || e.letter === 'I' ? ` DC ${e.value}${e.ac === 0 ? '' : ` AC ${e.ac}`}` : ` ${e.value}`;
    return `${e.letter}${e.name} ${e.a} ${e.b}${control}${value}`;
  });
  // a linear circuit needs no working point before its response: nodes that float for direct current do no harm
  const end = analysis === 'response' ? ['.options noopac', '.ac dec 100 20 20k'] : ['.op'];
  return [`* ${title}`, ...lines, ...end, '.end', ''].join('\n');
}

/** A title is one line. */
const oneLine = (title: string): string => title.replace(/\s+/g, ' ').trim();
const nodeName = (n: number): string => (n < 0 ? GROUND : `n${n + 1}`);

/** The deck of a network with its load, each source at its drive: the voltage at the tip is that of node `tip`. */
export function responseDeck(title: string, n: Network, drives: readonly number[]): { readonly deck: Deck; readonly tip: string } {
  const elements: DeckElement[] = [
    ...n.passive.map((p, i) => line(p.kind === 'resistor' ? 'R' : 'C', `${i + 1}`, nodeName(p.a), nodeName(p.b), p.value)),
    ...n.sources.flatMap((s, i) => {
      const k = `s${i + 1}`;
      const source = line('V', k, nodeName(s.a), `${k}a`, 0, drives[i] ?? 0);
      if (s.farad > 0) return [source, line('C', k, `${k}a`, nodeName(s.b), s.farad)];
      return [
        source,
        line('R', k, `${k}a`, `${k}b`, s.ohms),
        line('L', k, `${k}b`, nodeName(s.b), s.henry),
        ...(s.loss === Infinity ? [] : [line('R', `${k}loss`, `${k}b`, nodeName(s.b), s.loss)]),
      ];
    }),
    ...n.buffers.flatMap((b, i): readonly DeckElement[] => {
      const k = `b${i + 1}`;
      return [
        line('R', `${k}in`, nodeName(b.a), nodeName(b.ground), b.inputOhms),
        { ...line('E', k, `${k}out`, nodeName(b.ground), b.gain), control: [nodeName(b.a), nodeName(b.ground)] },
        line('R', `${k}out`, `${k}out`, nodeName(b.b), b.sourceOhms),
      ];
    }),
  ];
  return { deck: { title: oneLine(title), elements }, tip: nodeName(n.tip) };
}

/** A meter as a volt behind so many ohms. */
const METER_OHMS = 10_000;

/**
 * The deck of an ohmmeter between two lugs: a volt behind 10 kΩ, sources at rest, nothing plugged in; node `probe` tells R = 10 000 · v / (1 − v).
 * null where both lugs are one node, or nothing joins them. Closed contacts are one node; what floats is left out.
 */
export function meterDeck(title: string, netlist: Netlist, a: Lug, b: Lug, room: Room = USUAL_ROOM): { readonly deck: Deck; readonly probe: string } | null {
  const { terms, edges } = termsOf(netlist);
  for (const t of terms) lay(edges, t, ohmsAt(t, 'stated', room));
  const parents = Int32Array.from({ length: netlist.count }, (_, i) => i);
  edges.ohms.forEach((r, k) => {
    if (r === 0) join(parents, edges.from[k] ?? 0, edges.to[k] ?? 0);
  });
  const root = (n: number): number => rootOf(parents, n);
  const [hot, cold] = [root(netlist.nodeOf(a)), root(netlist.nodeOf(b))];
  if (hot === cold) return null;
  const all = [...edges.ohms].flatMap((r, k) => {
    const [x, y] = [root(edges.from[k] ?? 0), root(edges.to[k] ?? 0)];
    return r > 0 && r < Infinity && x !== y ? [{ a: x, b: y, ohms: r }] : [];
  });
  const reached = new Set([hot]);
  for (let before = 0; before !== reached.size;) {
    before = reached.size;
    for (const e of all) if (reached.has(e.a) !== reached.has(e.b)) reached.add(e.a).add(e.b);
  }
  if (!reached.has(cold)) return null;
  const name = (n: number): string => (n === cold ? GROUND : `n${n + 1}`);
  return {
    probe: name(hot),
    deck: {
      title: oneLine(title),
      elements: [
        line('V', 'meter', 'm', GROUND, 1),
        line('R', 'meter', 'm', name(hot), METER_OHMS),
        ...all.filter((e) => reached.has(e.a)).map((e, i) => line('R', `${i + 1}`, name(e.a), name(e.b), e.ohms)),
      ],
    },
  };
}

/** What the meter of a deck reads from the voltage at its probe, Ω. */
export const ohmsFromProbe = (volt: number): number => (METER_OHMS * volt) / (1 - volt);
