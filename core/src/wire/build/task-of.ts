import { lugKey, type Lug } from '../circuit.js';
import { coilLug } from '../kinds/index.js';
import { hintsOf } from './hints.js';
import { layoutsOf, type Chain, type Ground } from './layouts.js';
import type { Carrier, State, Task } from './task.js';
import { insideJoint, polesOf, stagesOf, type Stages } from './terminals.js';
import type { CircuitWish } from './wish.js';

/** A wish as a task, and the lug of each of its nodes; null: ground, and where the pickups meet. */
export interface WishTask {
  readonly task: Task;
  readonly lugs: readonly (Lug | null)[];
}

const TIP: Lug = { element: 'jack', lug: 'tip' };
const wiper = (element: string): Lug => ({ element, lug: '2' });
const splitOf = ({ elements, serves }: CircuitWish, pickup: string): string | null =>
  elements.find((e) => e.kind === 'resistor' && e.does === 'split resistor' && (serves[e.id] === pickup || e.id === `${pickup} split resistor`))?.id ?? null;

/** The nodes of a wish, what is joined already, and what every row asks. Throws RangeError for a coil that is not there. */
export function taskOf(wish: CircuitWish): WishTask {
  const stages = stagesOf(wish);
  const lugs: (Lug | null)[] = [null, null];
  const [ground, bus] = [0, 1];
  const numbers = new Map<string, number>();
  const node = (l: Lug): number => {
    const key = lugKey(l);
    const known = numbers.get(key) ?? lugs.push(l) - 1;
    numbers.set(key, known);
    return known;
  };
  const joined: [number, number][] = [];
  const sealed = new Set<number>();
  const carriers: Carrier[] = [];

  for (const p of stages.pickups) {
    for (const c of p.coils)
      carriers.push({ nodes: (['start', 'finish'] as const).map((end) => node({ element: p.id, lug: coilLug(c.name, end) })), of: p.id, coil: true });
    const inside = insideJoint(p, wish);
    if (inside) {
      joined.push([node(inside[0]), node(inside[1])]);
      if (wish.ledOut[p.id] === 'ends only') for (const l of inside) sealed.add(node(l));
    }
    if (typeof p.cover !== 'string') joined.push([node({ element: p.id, lug: coilLug(p.cover.coil, p.cover.end) }), ground]);
  }
  const direct = wish.rows.some((r) => r.voice.direct);
  const chain = chainOf(stages, { node, bus, direct, joined, carriers, ground });
  for (const v of stages.volumes) {
    if (v.of === null) continue;
    carriers.push({ nodes: [node(v.input), node(v.output), ground], of: v.pot.id, coil: false });
    if (v.pot.does === 'blend') joined.push([node(v.output), bus]);
  }
  const chosenTones = stages.tones.flatMap(({ pot, of }): Ground['chosenTones'] => {
    const at = node(wiper(pot.id));
    const own = stages.volumes.find((v) => v.of !== null && v.of === of);
    const always = of === null && (!direct || chain.stages.length > 0) && wish.rows.every((r) => r.voice.tones?.includes(pot.id) ?? true);
    if (own) joined.push([at, node(wish.toneAt === 'pickup side' ? own.input : own.output)]);
    else if (always) joined.push([at, wish.toneAt === 'pickup side' ? chain.input : chain.output]);
    else {
      carriers.push({ nodes: [at, ground], of: pot.id, coil: false });
      return [{ id: pot.id, of, node: at }];
    }
    return [];
  });
  const resistors = new Map(
    stages.pickups.flatMap(({ id }) => {
      const r = splitOf(wish, id);
      return r === null ? [] : [[id, node({ element: r, lug: '1' })] as const];
    }),
  );
  for (const [of, r] of resistors) carriers.push({ nodes: [r, ground], of, coil: false });
  const contacts = lugs.length;
  const poles = wish.elements.flatMap((e) => polesOf(e).map((names) => ({ element: e.id, lugs: names.map((lug) => node({ element: e.id, lug })) })));
  const switched = new Map(
    wish.elements.flatMap((e) => {
      const table = e.kind === 'switch' ? e.table : e.kind === 'pot' ? e.pull : null;
      return table && e.does !== 'kill' ? [[e.id, table] as const] : [];
    }),
  );
  const hints = hintsOf(wish, stages).map((h) => h.map(([a, b]) => [node(a), b === null ? ground : node(b)] as const));
  const count = lugs.length;
  const g: Ground = { stages, node, carriers, ground, chain, chosenTones, toneAt: wish.toneAt, resistor: (p) => resistors.get(p) ?? null };
  const states = wish.rows.map(({ at, voice }): State => ({
    layouts: layoutsOf(g, voice),
    closed: [...switched].flatMap(([element, table]) =>
      (table.positions[at[element] ?? 0]?.joins ?? []).map((pair) => pair.map((lug) => node({ element, lug }))),
    ),
  }));
  return { task: { count, contacts, sealed: lugs.map((_, i) => sealed.has(i)), joined, hints, carriers, poles, states }, lugs };
}

interface Begun {
  readonly node: (l: Lug) => number;
  readonly bus: number;
  readonly ground: number;
  readonly direct: boolean;
  readonly joined: [number, number][];
  readonly carriers: Carrier[];
}

/** Preamp, then the volume of all: joined one after the other, and with the pickups where nothing goes past them. */
function chainOf({ volumes, preamp }: Stages, { node, bus, ground, direct, joined, carriers }: Begun): Chain {
  const master = volumes.find((v) => v.of === null);
  const tip = node(TIP);
  const stages = [
    ...(preamp ? [{ from: node({ element: preamp.id, lug: 'in' }), to: node({ element: preamp.id, lug: 'out' }) }] : []),
    ...(master ? [{ from: node(master.input), to: node(master.output) }] : []),
  ];
  stages.slice(1).forEach((s, i) => joined.push([stages[i]?.to ?? tip, s.from]));
  const [input, output] = [stages[0]?.from ?? tip, stages.at(-1)?.to ?? tip];
  if (!direct || stages.length === 0) {
    joined.push([bus, input]);
    if (output !== tip) joined.push([output, tip]);
  } else for (const s of stages) carriers.push({ nodes: [s.from, s.to, ground], of: 'stage', coil: false });
  return { bus, input, output, tip, stages, held: stages.length > 0 };
}

export { splitOf };
