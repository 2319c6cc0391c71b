import { BROKEN, floatingOf, hangingOf, missingOf } from './fits.js';
import { connected, merge, within } from './nets.js';
import type { Joined, Task } from './task.js';

/** How far a search goes: how many poles one after the other a signal may go through, how many joints are tried, and how many more once a circuit is found. */
export interface Reach {
  readonly through: number;
  readonly tries: number;
  readonly after: number;
}

/** What a search came to. `whole`: everything within its reach was gone through. */
export interface Found {
  readonly circuits: readonly Joined[];
  readonly whole: boolean;
  readonly tries: number;
}

/** So many more joints than the fewest are still told. */
const MORE = 2;
/** So many of the unmet requirements are looked at before the one with the fewest ways is taken. */
const LOOKED_AT = 3;
/** How many nodes a step keeps at first, and how many times more in each further run. */
const NARROW = 8;
const WIDER = 6;
/** How much a joint that is still asked weighs against one that is made. */
const WEIGHT = 1.5;

/** Joints that were made, and what they come to. */
interface Node {
  /** The nets of the joints alone, each named by its first node. */
  readonly fixed: Uint8Array;
  /** The nets of every state, one state after the other. */
  readonly net: Uint8Array;
  /** Of every state the layouts that are left, by their indices, and the fewest joints that one of them misses. */
  readonly layouts: readonly (readonly number[])[];
  readonly least: readonly number[];
  readonly joints: readonly (readonly [number, number])[];
}

/** Two ends that must be one net in a state: one, and any of some others. */
interface Asked {
  readonly state: number;
  readonly from: number;
  readonly to: readonly number[];
  /** How many states ask it. */
  readonly states: number;
}

/**
 * Joints with the fewest wires that give every state what it asks, in waves that widen until nothing was left out [law: beam search, in the end exhaustive]. Each step takes
 * one requirement and goes through every way to meet it: a joint, or joints by way of poles. Yields the number of tries so far.
 */
export function* searched(task: Task, reach: Reach): Generator<number, Found> {
  const { count, carriers, states, sealed } = task;
  const best = new Map<string, Joined>();
  let fewest = Infinity;
  /** No circuit with more joints is of interest. */
  let limit = Infinity;
  let improving = false;
  /** The node with the fewest joints so far. */
  const held: { leader: Node | null } = { leader: null };
  let tries = 0;
  let until = reach.tries;
  const startFixed = Uint8Array.from({ length: count }, (_, i) => i);
  for (const [a, b] of task.joined) merge(startFixed, 0, count, a, b);
  const groups = task.poles.map(({ lugs }) => states.map((s) => connected(s.closed, lugs)));
  const forms = task.poles.map(({ lugs }, p) => JSON.stringify([lugs.length, groups[p]?.map((g) => g.map((x) => x.map((l) => lugs.indexOf(l))))]));

  /** A state's layouts that are left, and what the nearest of them misses. */
  function judged(net: Uint8Array, s: number, before: readonly number[]): { readonly layouts: readonly number[]; readonly least: number } {
    let least = Infinity;
    const layouts = before.filter((l) => {
      const layout = states[s]?.layouts[l];
      const missing = layout ? missingOf(layout, carriers, net, s * count, count) : BROKEN;
      if (missing === BROKEN) return false;
      least = Math.min(least, missing);
      return true;
    });
    return { layouts, least };
  }

  /** With more joints; null: some state has no layout left. A contact that nothing is joined to yet changes nothing but its own net. */
  function withJoints(n: Node, made: readonly (readonly [number, number])[]): Node | null {
    tries++;
    const fixed = n.fixed.slice();
    const net = n.net.slice();
    const changed = new Uint8Array(states.length);
    for (const [a, b] of made) {
      merge(fixed, 0, count, a, b);
      for (let s = 0; s < states.length; s++) if (merge(net, s * count, count, a, b) < task.contacts) changed[s] = 1;
    }
    const layouts: (readonly number[])[] = [];
    const least: number[] = [];
    for (let s = 0; s < states.length; s++) {
      const j = changed[s] ? judged(net, s, n.layouts[s] ?? []) : { layouts: n.layouts[s] ?? [], least: n.least[s] ?? 0 };
      if (j.layouts.length === 0) return null;
      layouts.push(j.layouts);
      least.push(j.least);
    }
    return { fixed, net, layouts, least, joints: [...n.joints, ...made] };
  }

  const bound = (n: Node): number => n.joints.length + Math.max(...n.least);
  const keyOf = (n: Node): string => `${String.fromCharCode(...n.fixed)}|${n.layouts.join('/')}`;

  /** Every way to meet a requirement; no more than `fewer`. */
  function waysOf(n: Node, { state, from, to }: Asked, fewer: number): readonly Node[] {
    const here = heads(n, state, from);
    const there = [...new Set(to.flatMap((t) => heads(n, state, t)))];
    const out = new Map<string, Node>();
    const go = (at: readonly number[], made: readonly (readonly [number, number])[], used: readonly number[]): void => {
      for (const u of at)
        for (const v of there) {
          if (out.size >= fewer) return;
          const next = withJoints(n, [...made, [u, v]]);
          if (next && bound(next) <= limit) out.set(keyOf(next), next);
        }
      if (made.length >= reach.through) return;
      for (const { lug, others, net } of contactsOf(n, state, [...used, ...[from, ...to].map((x) => n.net[state * count + x] ?? 0)]))
        for (const u of at) go(others, [...made, [u, lug]], [...used, net]);
    };
    go(here, [], []);
    return [...out.values()];
  }

  /** One node of each net of joints in a net of a state, of those that something can be joined to. */
  function heads(n: Node, state: number, of: number): readonly number[] {
    const off = state * count;
    const out: number[] = [];
    const had = new Set<number>();
    for (let i = 0; i < count; i++) {
      const f = n.fixed[i] ?? 0;
      if (n.net[off + i] !== n.net[off + of] || sealed[i] || had.has(f)) continue;
      had.add(f);
      out.push(i);
    }
    return out;
  }

  /** Closed contacts of a state that are in none of some nets: a lug, and those that it holds. Of poles alike with nothing joined, the first. */
  function contactsOf(
    n: Node,
    state: number,
    not: readonly number[],
  ): readonly { readonly lug: number; readonly others: readonly number[]; readonly net: number }[] {
    const off = state * count;
    const sizes = new Uint8Array(count);
    for (const f of n.fixed) sizes[f] = (sizes[f] ?? 0) + 1;
    const free = new Set<string>();
    return task.poles.flatMap(({ lugs }, p) => {
      if (lugs.every((l) => sizes[n.fixed[l] ?? 0] === 1)) {
        const form = forms[p] ?? '';
        if (free.has(form)) return [];
        free.add(form);
      }
      return (groups[p]?.[state] ?? []).flatMap((group) => {
        const net = n.net[off + (group[0] ?? 0)] ?? 0;
        return not.includes(net) ? [] : group.map((lug) => ({ lug, others: group.filter((l) => l !== lug && n.fixed[l] !== n.fixed[lug]), net }));
      });
    });
  }

  /** What every layout that is left asks and is not met, each pair of nets once. */
  function asked(n: Node): readonly Asked[] {
    const out = new Map<number, Asked>();
    for (let s = 0; s < states.length; s++) {
      if (n.least[s] === 0) continue;
      const [first, ...others] = (n.layouts[s] ?? []).map((l) => states[s]?.layouts[l]);
      if (!first) continue;
      const off = s * count;
      first.nodes.forEach((i, x) => {
        for (let y = x + 1; y < first.nodes.length; y++) {
          const j = first.nodes[y] ?? 0;
          if (first.labels[x] !== first.labels[y] || n.net[off + i] === n.net[off + j]) continue;
          if (!others.every((o) => o && labelIn(o, i) !== null && labelIn(o, i) === labelIn(o, j))) continue;
          const [a, b] = [n.fixed[i] ?? 0, n.fixed[j] ?? 0];
          const key = Math.min(a, b) * 256 + Math.max(a, b);
          const known = out.get(key);
          out.set(key, known ? { ...known, states: known.states + 1 } : { state: s, from: i, to: [j], states: 1 });
        }
      });
    }
    return [...out.values()].sort((a, b) => b.states - a.states);
  }

  /** The state with the fewest layouts left of those that have several and none met. */
  function undecided(n: Node): number | null {
    let least: number | null = null;
    n.layouts.forEach((all, s) => {
      if (all.length > 1 && n.least[s] !== 0 && (least === null || all.length < (n.layouts[least]?.length ?? 0))) least = s;
    });
    return least;
  }

  /** The layouts that a state meets. */
  const metBy = (n: Node, s: number) =>
    (n.layouts[s] ?? []).flatMap((l) => {
      const layout = states[s]?.layouts[l];
      return layout && missingOf(layout, carriers, n.net, s * count, count) === 0 ? [layout] : [];
    });

  function hanging(n: Node): Asked | null {
    for (let s = 0; s < states.length; s++) {
      const all = metBy(n, s).map((l) => hangingOf(l, carriers, n.net, s * count, count));
      const [leaf] = all.some((h) => h.length === 0) ? [] : all.flat();
      if (leaf) return { state: s, from: leaf.leaf, to: leaf.close, states: 1 };
    }
    return null;
  }

  /** How promising a node is: its joints and those that it still needs, at a guess. The lower the better; of alike the one that is further. */
  const promise = (n: Node): number => n.joints.length + WEIGHT * (spanning(asked(n), n) + loose(n)) - n.joints.length / 1024;

  /** How many idle coils hang on what is not ground, in the state where most do. */
  function loose(n: Node): number {
    let most = 0;
    for (let s = 0; s < states.length; s++) {
      let least = Infinity;
      for (const l of n.layouts[s] ?? []) {
        const layout = states[s]?.layouts[l];
        if (layout) least = Math.min(least, hangingOf(layout, carriers, n.net, s * count, count).length);
      }
      most = Math.max(most, least);
    }
    return most;
  }

  /** What follows from a node: it is told where nothing is left to ask. */
  function next(n: Node): readonly Node[] {
    const all = asked(n);
    if (all.length > 0) {
      let ways: readonly Node[] | null = null;
      for (const a of all.slice(0, LOOKED_AT)) {
        const of = waysOf(n, a, ways?.length ?? Infinity);
        if (ways === null || of.length < ways.length) ways = of;
        if (ways.length <= 1) break;
      }
      return ways ?? [];
    }
    const s = undecided(n);
    if (s !== null)
      return (n.layouts[s] ?? []).map((l) => {
        const { least } = judged(n.net, s, [l]);
        return { ...n, layouts: n.layouts.map((x, i) => (i === s ? [l] : x)), least: n.least.map((x, i) => (i === s ? least : x)) };
      });
    const loose = hanging(n);
    if (loose) return waysOf(n, loose, Infinity);
    tell(n);
    return [];
  }

  /** From step to step the most promising of what follows, no more than `width`. */
  function* wave(from: Node, width: number): Generator<number, { readonly dropped: boolean; readonly done: boolean }> {
    const seen = new Set<string>();
    let dropped = false;
    for (let level: readonly Node[] = [from]; level.length > 0;) {
      const following: { readonly promise: number; readonly node: Node }[] = [];
      for (const n of level) {
        if (bound(n) > limit) continue;
        if (tries > until) return { dropped, done: false };
        yield tries;
        for (const node of next(n)) {
          const key = keyOf(node);
          if (seen.has(key) || bound(node) > limit) continue;
          seen.add(key);
          following.push({ promise: promise(node), node });
        }
      }
      dropped ||= following.length > width;
      level = following
        .sort((a, b) => a.promise - b.promise)
        .slice(0, width)
        .map((f) => f.node);
    }
    return { dropped, done: true };
  }

  /** The node of some joints; null: they, or what is joined already, break something. */
  function startFrom(joints: readonly (readonly [number, number])[]): Node | null {
    const fixed = startFixed.slice();
    for (const [a, b] of joints) merge(fixed, 0, count, a, b);
    const net = new Uint8Array(count * states.length);
    states.forEach((s, i) => {
      net.set(fixed, i * count);
      for (const group of s.closed) for (const lug of group.slice(1)) merge(net, i * count, count, group[0] ?? 0, lug);
    });
    const all = states.map((s, i) =>
      judged(
        net,
        i,
        s.layouts.map((_, l) => l),
      ),
    );
    if (all.some((j) => j.layouts.length === 0)) return null;
    return { fixed, net, layouts: all.map((j) => j.layouts), least: all.map((j) => j.least), joints };
  }

  /** The joints of a node without those of some nodes, which are sought anew: again and again, until no two pickups or poles give fewer. */
  function* improve(): Generator<number, void> {
    const pickups = [...new Set(carriers.flatMap((c) => (c.coil ? [c.of] : [])))];
    const units = pickups.map((p) => carriers.flatMap((c) => (c.of === p ? c.nodes : [])));
    const all = [...units, ...task.poles.map((p) => p.lugs)];
    improving = true;
    for (let best = Infinity; best > fewest;) {
      best = fewest;
      for (let i = 0; i < all.length; i++)
        for (let j = i; j < all.length; j++) {
          if (held.leader === null || tries > until) return;
          limit = fewest - 1;
          const free = new Set([...(all[i] ?? []), ...(all[j] ?? [])]);
          const from = startFrom(within(held.leader.fixed, free, startFixed));
          if (from) yield* wave(from, NARROW);
        }
    }
  }

  function tell(n: Node): void {
    const key = task.poles.flatMap(({ element, lugs }) => (lugs.some((l) => n.fixed.some((f, i) => i !== l && f === n.fixed[l])) ? [element] : [])).join();
    const before = best.get(key);
    if (before && before.joints.length <= n.joints.length) return;
    if (fewest === Infinity) until = Math.min(until, tries + reach.after);
    if (n.joints.length < fewest) {
      fewest = n.joints.length;
      held.leader = n;
      limit = improving ? fewest - 1 : fewest + MORE;
    }
    const floating = new Set(
      states.flatMap((_, s) =>
        metBy(n, s)
          .slice(0, 1)
          .flatMap((l) => floatingOf(l, carriers, n.net, s * count)),
      ),
    );
    best.set(key, { joints: n.joints, floating: [...floating] });
  }

  const begun = startFrom([]);
  let whole = begun === null;
  const starts = task.hints.flatMap((h) => (h.length > 0 ? (startFrom(h) ?? []) : []));
  for (let width = NARROW; begun !== null && !whole && tries <= until && held.leader === null; width *= WIDER) {
    for (const s of starts) yield* wave(s, width);
    const { dropped, done } = yield* wave(begun, width);
    whole = !dropped && done;
  }
  if (!whole && held.leader !== null) yield* improve();
  const circuits = [...best.values()].filter((c) => c.joints.length <= fewest + MORE).sort((a, b) => a.joints.length - b.joints.length);
  return { circuits, whole, tries };
}

/** How many joints it takes to hold together what is asked, each pair by itself one. */
function spanning(asked: readonly Asked[], { fixed }: Node): number {
  const of = new Map<number, number>();
  const root = (n: number): number => {
    let at = n;
    for (let up = of.get(at); up !== undefined && up !== at; up = of.get(at)) at = up;
    return at;
  };
  let joints = 0;
  for (const { from, to } of asked) {
    const [a, b] = [root(fixed[from] ?? 0), root(fixed[to[0] ?? 0] ?? 0)];
    if (a === b) continue;
    of.set(b, a);
    joints++;
  }
  return joints;
}

/** A node's label in a layout; null: free. */
function labelIn({ nodes, labels }: { readonly nodes: readonly number[]; readonly labels: readonly number[] }, node: number): number | null {
  return labels[nodes.indexOf(node)] ?? null;
}
