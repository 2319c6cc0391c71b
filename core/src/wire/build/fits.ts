import { GROUND, type Carrier, type Layout } from './task.js';

/** An idle coil's end that hangs on what is not ground, and the nets that would close it. */
export interface Hanging {
  readonly leaf: number;
  readonly close: readonly number[];
}

/** Nets of two labels are one, or an idle carrier bridges two: no further joint mends that. */
export const BROKEN = -1;
const NONE = -1;

/** What is noted of each net while a layout is held against it: kept between calls, as it is needed by the hundred thousand. */
const label = new Int8Array(256);
const cluster = new Uint8Array(256);
const touches = new Int8Array(256);

function root(n: number): number {
  let at = n;
  for (let up = cluster[at] ?? at; up !== at; up = cluster[at] ?? at) at = up;
  return at;
}

/**
 * Holds a layout against the nets of a state: how many joints it misses at least, or BROKEN. `net`: of each node, named by its first node, from `from`. Through free nets
 * an idle carrier may hang on one label only.
 */
export function missingOf({ nodes, labels, blocks, idle }: Layout, carriers: readonly Carrier[], net: Uint8Array, from: number, count: number): number {
  label.fill(NONE, 0, count);
  let parts = 0;
  for (let i = 0; i < nodes.length; i++) {
    const n = net[from + (nodes[i] ?? 0)] ?? 0;
    const l = labels[i] ?? NONE;
    const had = label[n];
    if (had === NONE) {
      label[n] = l;
      parts++;
    } else if (had !== l) return BROKEN;
  }
  for (let i = 0; i < count; i++) cluster[i] = i;
  touches.fill(NONE, 0, count);
  for (const c of idle) {
    let free = NONE;
    let held = NONE;
    for (const node of carriers[c]?.nodes ?? []) {
      const n = net[from + node] ?? 0;
      const l = label[n] ?? NONE;
      if (l !== NONE) {
        if (held !== NONE && held !== l) return BROKEN;
        held = l;
        continue;
      }
      const r = root(n);
      if (free === NONE) free = r;
      else if (r !== free) {
        const [a, b] = [touches[free] ?? NONE, touches[r] ?? NONE];
        if (a !== NONE && b !== NONE && a !== b) return BROKEN;
        cluster[r] = free;
        if (a === NONE) touches[free] = b;
      }
    }
    if (free === NONE || held === NONE) continue;
    const had = touches[free];
    if (had !== NONE && had !== held) return BROKEN;
    touches[free] = held;
  }
  return parts - blocks;
}

/** Idle coils that hang on what is not ground by one end alone: antennas. */
export function hangingOf(layout: Layout, carriers: readonly Carrier[], net: Uint8Array, from: number, count: number): readonly Hanging[] {
  if (missingOf(layout, carriers, net, from, count) === BROKEN) return [];
  const ends = new Map<number, number>();
  for (const c of layout.idle)
    for (const node of carriers[c]?.nodes ?? []) {
      const n = net[from + node] ?? 0;
      ends.set(n, (ends.get(n) ?? 0) + 1);
    }
  const isFree = (n: number): boolean => label[n] === NONE;
  return [...ends].flatMap(([leaf, times]): readonly Hanging[] => {
    const hot = touches[root(leaf)] ?? NONE;
    if (times !== 1 || !isFree(leaf) || hot === NONE || hot === GROUND) return [];
    const close: number[] = [];
    for (let m = 0; m < count; m++)
      if (net[from + m] === m && m !== leaf && (label[m] === hot || (isFree(m) && ends.has(m) && root(m) === root(leaf)))) close.push(m);
    return [{ leaf, close }];
  });
}

/** Coils that reach no label: they float. By their carriers' indices. */
export function floatingOf(layout: Layout, carriers: readonly Carrier[], net: Uint8Array, from: number): readonly number[] {
  const held = new Set(layout.nodes.map((n) => net[from + n] ?? 0));
  for (let size = 0; size !== held.size;) {
    size = held.size;
    for (const c of carriers) {
      const nets = c.nodes.map((n) => net[from + n] ?? 0);
      if (nets.some((n) => held.has(n))) for (const n of nets) held.add(n);
    }
  }
  return carriers.flatMap((c, i) => (c.coil && !c.nodes.some((n) => held.has(net[from + n] ?? 0)) ? [i] : []));
}
