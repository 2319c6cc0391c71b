/** The joints that hold the nets together without some nodes; what is joined anyway is not said again. */
export function within(fixed: Uint8Array, without: ReadonlySet<number>, anyway: Uint8Array): readonly (readonly [number, number])[] {
  const net = anyway.slice();
  const first = new Map<number, number>();
  const out: (readonly [number, number])[] = [];
  fixed.forEach((f, i) => {
    if (without.has(i)) return;
    const head = first.get(f);
    if (head === undefined) first.set(f, i);
    else if (merge(net, 0, net.length, head, i) !== Infinity) out.push([head, i]);
  });
  return out;
}

/** Groups of a pole's lugs that are held together. */
export function connected(closed: readonly (readonly number[])[], lugs: readonly number[]): readonly (readonly number[])[] {
  const own = closed.filter((g) => g.every((l) => lugs.includes(l)));
  const out: Set<number>[] = [];
  for (const g of own) {
    const near = out.filter((o) => g.some((l) => o.has(l)));
    const all = new Set([...g, ...near.flatMap((o) => [...o])]);
    out.splice(0, out.length, ...out.filter((o) => !near.includes(o)), all);
  }
  return out.map((o) => [...o]);
}

/** Makes two nets one, named by the first node of both; the higher of the two names, or Infinity where they were one. */
export function merge(net: Uint8Array, from: number, count: number, a: number, b: number): number {
  const x = net[from + a] ?? 0;
  const y = net[from + b] ?? 0;
  if (x === y) return Infinity;
  const low = Math.min(x, y);
  const high = Math.max(x, y);
  for (let i = from + high; i < from + count; i++) if (net[i] === high) net[i] = low;
  return high;
}
