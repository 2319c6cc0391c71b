import type { Lug } from '../circuit.js';
import { GROUND, type Carrier, type Layout } from './task.js';
import { endsOf, type Stages } from './terminals.js';
import { heardIn, SILENCE, type PickupVoice, type Together, type Voice } from './wish.js';

/** The hot, in every layout. */
const HOT = 1;

/** Where the signal of all pickups meets, what of it goes on, and the jack: nodes by their numbers. The same number where nothing lies between. */
export interface Chain {
  readonly bus: number;
  /** Into volume or preamp, and out of the last of them. */
  readonly input: number;
  readonly output: number;
  readonly tip: number;
  /** Between the preamp's output and the volume behind it. */
  readonly stages: readonly { readonly from: number; readonly to: number }[];
  /** Something lies across the hot that keeps it from hanging open. */
  readonly held: boolean;
}

/** What layouts are made from: nodes by lug, the chain to the jack, tones that are chosen by position. */
export interface Ground {
  readonly stages: Stages;
  readonly node: (lug: Lug) => number;
  readonly carriers: readonly Carrier[];
  readonly ground: number;
  readonly chain: Chain;
  readonly chosenTones: readonly { readonly id: string; readonly of: string | null; readonly node: number }[];
  readonly toneAt: 'pickup side' | 'output side';
  /** The node of a partial split's resistor, by its pickup. */
  readonly resistor: (pickup: string) => number | null;
}

/** Coils as they lie together. */
type Tree =
  | { readonly kind: 'coil'; readonly up: number; readonly down: number }
  | { readonly kind: Together; readonly of: readonly Tree[]; readonly fixed: number | null };

/** Nodes with their labels, and the next label that is free. */
interface Laid {
  readonly at: readonly (readonly [number, number])[];
  readonly next: number;
}

/** Every way of laying a voice out: both polarities, and series in any order. None where it cannot be said of these parts. */
export function layoutsOf(g: Ground, voice: Voice): readonly Layout[] {
  const heard = heardIn(voice);
  if (heard.length === 0) return silence(g);
  return [false, true].flatMap((flipped) => {
    const fixed = atJack(g, voice);
    const own = heard.filter((v) => ownVolume(g, v.pickup));
    const shared = heard.filter((v) => !ownVolume(g, v.pickup));
    if (own.length > 0 && heard.length > 1 && voice.joined === 'series') return [];
    let laid: readonly Laid[] = [{ at: fixed.at, next: fixed.next }];
    for (const v of own) {
      const volume = ownVolume(g, v.pickup);
      if (!volume) continue;
      const [input, output] = [g.node(volume.input), g.node(volume.output)];
      laid = laid.flatMap((l) => {
        const top = voice.direct ? HOT : l.next;
        const at: Laid['at'] = voice.direct ? [...l.at, [input, HOT]] : [...l.at, [input, top], [output, HOT]];
        return layTree(treeOf(g, v, flipped), top, GROUND, { at, next: voice.direct ? l.next : l.next + 1 });
      });
    }
    if (shared.length > 0) {
      const trees = shared.map((v) => treeOf(g, v, flipped));
      const [first] = trees;
      const tree: Tree = trees.length === 1 && first ? first : { kind: voice.joined, of: trees, fixed: null };
      laid = laid.flatMap((l) => layTree(tree, HOT, GROUND, l));
    }
    return laid.map((l) => layoutFrom(g, l));
  });
}

const ownVolume = ({ stages }: Ground, pickup: string) => stages.volumes.find((v) => v.of === pickup) ?? null;

/** From where the pickups meet to the jack. */
function atJack({ chain, chosenTones, toneAt, ground }: Ground, voice: Voice): Laid {
  const at: [number, number][] = [
    [ground, GROUND],
    [chain.bus, HOT],
  ];
  let next = HOT + 1;
  let out = HOT;
  if (voice.direct) at.push([chain.tip, HOT]);
  else {
    at.push([chain.input, HOT]);
    for (const s of chain.stages) {
      at.push([s.from, out]);
      if (s.to !== s.from) out = next++;
      at.push([s.to, out]);
    }
    at.push([chain.output, out], [chain.tip, out]);
    const acts = ({ id, of }: Ground['chosenTones'][0]): boolean =>
      voice.tones === null ? of === null || heardIn(voice).some((p) => p.pickup === of) : voice.tones.includes(id);
    for (const t of chosenTones) if (acts(t)) at.push([t.node, toneAt === 'pickup side' ? HOT : out]);
  }
  return { at, next };
}

function treeOf(g: Ground, v: PickupVoice, flipped: boolean): Tree {
  const p = g.stages.pickups.find((x) => x.id === v.pickup);
  const coils = v.coils.map((c): Tree => {
    const ends = p ? endsOf(p, c.coil, c.turned !== flipped) : null;
    if (!ends) throw new RangeError(`no such coil: ${v.pickup} ${c.coil}`);
    return { kind: 'coil', up: g.node(ends.up), down: g.node(ends.down) };
  });
  const [only] = coils;
  if (coils.length === 1 && only) return only;
  const resistor = v.partly === null ? null : g.resistor(v.pickup);
  if (v.partly === null || resistor === null) return { kind: v.joined, of: coils, fixed: null };
  // the coil that stays is the one at the hot, the resistor lies across the other
  const partly = v.coils.findIndex((c) => c.coil === v.partly);
  return { kind: 'series', of: [...coils.filter((_, i) => i !== partly), ...coils.filter((_, i) => i === partly)], fixed: resistor };
}

function layTree(tree: Tree, top: number, bottom: number, laid: Laid): readonly Laid[] {
  if (tree.kind === 'coil') return [{ at: [...laid.at, [tree.up, top], [tree.down, bottom]], next: laid.next }];
  if (tree.kind === 'parallel') return tree.of.reduce<readonly Laid[]>((all, t) => all.flatMap((l) => layTree(t, top, bottom, l)), [laid]);
  const orders = tree.fixed === null ? ordersOf(tree.of) : [tree.of];
  return orders.flatMap((order) => {
    let all: readonly Laid[] = [laid];
    let above = top;
    order.forEach((t, i) => {
      const below = i === order.length - 1 ? bottom : (all[0]?.next ?? 0);
      const at: Laid['at'] = below !== bottom && tree.fixed !== null ? [[tree.fixed, below]] : [];
      all = all.flatMap((l) => layTree(t, above, below, { at: [...l.at, ...at], next: below === bottom ? l.next : l.next + 1 }));
      above = below;
    });
    return all;
  });
}

function ordersOf<T>(all: readonly T[]): readonly (readonly T[])[] {
  if (all.length < 2) return [all];
  return all.flatMap((first, i) => ordersOf(all.filter((_, j) => j !== i)).map((rest) => [first, ...rest]));
}

/** Silent: the jack's tip on ground, or what the volume takes in; or nothing on the hot where a pot still holds it. */
function silence(g: Ground): readonly Layout[] {
  const { ground, chain } = g;
  const shorted: Laid = {
    at: [
      [ground, GROUND],
      [chain.tip, GROUND],
    ],
    next: 1,
  };
  const input: Laid = {
    at: [
      [ground, GROUND],
      [chain.bus, GROUND],
      [chain.input, GROUND],
      [chain.output, HOT],
      [chain.tip, HOT],
    ],
    next: 2,
  };
  return [shorted, ...(chain.stages.length === 1 && chain.input !== chain.output ? [input] : []), ...(chain.held ? [atJack(g, SILENCE)] : [])].map((l) =>
    layoutFrom(g, l),
  );
}

function layoutFrom({ carriers }: Ground, { at }: Laid): Layout {
  const labels = new Map(at);
  return {
    nodes: [...labels.keys()],
    labels: [...labels.values()],
    blocks: new Set(labels.values()).size,
    idle: carriers.flatMap((c, i) => (c.nodes.some((n) => !labels.has(n)) ? [i] : [])),
  };
}
