import { lugKey, type Circuit, type Element, type Joint, type Lug, type PickupElement } from '../circuit.js';
import { coilLug } from '../kinds/index.js';
import type { Dimension } from '../../measure/index.js';
import { GROUND, type Deck, type DeckElement } from './deck.js';

/** Why a deck is no circuit of this trade, with the element that it is about. */
export interface NoCircuit {
  readonly kind: 'no such node' | 'current source' | 'controlled source' | 'source without a coil' | 'coil without a resistance';
  readonly name: string;
}

export type DeckAsCircuit = { readonly ok: true; readonly circuit: Circuit } | { readonly ok: false; readonly problems: readonly NoCircuit[] };

/** What was typed by hand is as it is typed. */
const typed = (value: number): Dimension => ({ value, limit: 0, basis: { kind: 'stated' } });
const nameOf = ({ letter, name }: DeckElement): string => `${letter}${name}`;

/** A coil as it is folded: what hangs in one row with its inductor, from the end that its signal comes out of to the other. */
interface Row {
  readonly inductor: DeckElement;
  readonly ends: readonly [string, string];
  readonly ohms: number;
  readonly loss: number | null;
}

/**
 * A deck that was written by hand as a circuit that can be kept, heard at a node above node 0: an inductor with the resistance and the source in its row is the coil of a
 * pickup, a resistance right across it its loss; each source counts as one volt. Resistors and capacitors stay as they are.
 */
export function circuitOfDeck({ elements }: Deck, tip: string): DeckAsCircuit {
  const problems: NoCircuit[] = [];
  if (tip === GROUND || !elements.some((e) => e.a === tip || e.b === tip)) problems.push({ kind: 'no such node', name: tip });
  for (const e of elements) {
    if (e.letter === 'I') problems.push({ kind: 'current source', name: nameOf(e) });
    if (e.letter === 'E') problems.push({ kind: 'controlled source', name: nameOf(e) });
  }
  const taken = new Set<DeckElement>();
  const rows = elements.filter((e) => e.letter === 'L').map((l) => rowOf(l, elements, tip, taken));
  for (const r of rows) if (r.ohms === 0) problems.push({ kind: 'coil without a resistance', name: nameOf(r.inductor) });
  for (const e of elements) if (e.letter === 'V' && !taken.has(e)) problems.push({ kind: 'source without a coil', name: nameOf(e) });
  if (problems.length > 0) return { ok: false, problems };

  const at = new Map<string, Lug[]>();
  const put = (node: string, element: string, lug: string): void => void at.set(node, [...(at.get(node) ?? []), { element, lug }]);
  const out: Element[] = [];
  for (const r of rows) {
    out.push(coilOf(r));
    put(r.ends[0], nameOf(r.inductor), coilLug('coil', 'start'));
    put(r.ends[1], nameOf(r.inductor), coilLug('coil', 'finish'));
  }
  for (const e of elements) {
    if (taken.has(e) || (e.letter !== 'R' && e.letter !== 'C')) continue;
    const base = { id: nameOf(e), name: nameOf(e), does: 'other' as const, place: null, part: null };
    out.push(e.letter === 'R' ? { ...base, kind: 'resistor', ohms: typed(e.value) } : { ...base, kind: 'capacitor', farad: typed(e.value), leak: null });
    put(e.a, base.id, '1');
    put(e.b, base.id, '2');
  }
  out.push({ kind: 'jack', id: 'jack', name: null, does: 'jack', place: null, part: null, form: 'mono' });
  put(tip, 'jack', 'tip');
  put(GROUND, 'jack', 'sleeve');
  const joints = [...at.values()].flatMap(([first, ...others]): readonly Joint[] => (first ? others.map((b) => ({ a: first, b })) : []));
  const joined = new Set(joints.flatMap(({ a, b }) => [lugKey(a), lugKey(b)]));
  return { ok: true, circuit: { format: 1, elements: out, joints, bare: [...at.values()].flat().filter((l) => !joined.has(lugKey(l))) } };
}

/** What lies in one row with an inductor: resistors and one source at nodes where nothing else hangs. What it has is `taken` by it; a second source is another coil's. */
function rowOf(inductor: DeckElement, elements: readonly DeckElement[], tip: string, taken: Set<DeckElement>): Row {
  const across = elements.filter((e) => e.letter === 'R' && [e.a, e.b].sort().join(' ') === [inductor.a, inductor.b].sort().join(' '));
  const loss = across.length === 0 ? null : 1 / across.reduce((sum, r) => sum + 1 / r.value, 0);
  for (const e of [inductor, ...across]) taken.add(e);
  const ends: [string, string] = [inductor.a, inductor.b];
  let ohms = 0;
  let isTurned: boolean | null = null;
  for (const side of [0, 1] as const) {
    for (;;) {
      const node = ends[side];
      const there = elements.filter((e) => !taken.has(e) && (e.a === node || e.b === node));
      const [next] = there;
      if (node === GROUND || node === tip || there.length !== 1 || !next || (next.letter !== 'R' && (next.letter !== 'V' || isTurned !== null))) break;
      taken.add(next);
      // the signal comes out of the end that the source's plus points to
      const gives = next.ac === 0 ? next.value : next.ac;
      if (next.letter === 'V') isTurned = ((next.a === node) === (side === 0)) === gives >= 0;
      else ohms += next.value;
      ends[side] = next.a === node ? next.b : next.a;
    }
  }
  return { inductor, ends: isTurned ? [ends[1], ends[0]] : ends, ohms, loss };
}

function coilOf({ inductor, ohms, loss }: Row): PickupElement {
  const id = nameOf(inductor);
  return {
    kind: 'pickup',
    id,
    name: id,
    does: 'pickup',
    place: null,
    part: null,
    cover: 'none',
    coils: [
      {
        name: 'coil',
        ohms: typed(ohms),
        henry: typed(inductor.value),
        farad: null,
        loss: loss === null ? null : typed(loss),
        winding: 1,
        magnet: 1,
        startColour: null,
        finishColour: null,
      },
    ],
  };
}
