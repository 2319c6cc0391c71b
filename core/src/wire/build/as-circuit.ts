import type { Circuit, Lug } from '../circuit.js';
import { bleedOver, lug, usualWish, wiring } from '../presets/index.js';
import type { Joined } from './task.js';
import { splitOf, type WishTask } from './task-of.js';
import { downOf, stagesOf } from './terminals.js';
import type { CircuitWish } from './wish.js';

/** The circuit of a wish as its nodes were joined: pots, capacitors, cell and grounds as they always are, and one wire less than lugs in each net. */
export function circuitFrom(wish: CircuitWish, { task, lugs }: WishTask, { joints }: Pick<Joined, 'joints'>): Circuit {
  const stages = stagesOf(wish);
  const jack = wish.elements.find((e) => e.kind === 'jack');
  const w = wiring({ ...usualWish(stages.pickups), bleed: wish.bleed }, jack?.form);
  for (const e of wish.elements) if (e.kind !== 'pickup' && e.kind !== 'jack' && e.does !== 'bleed') w.add(e);
  for (const v of stages.volumes) {
    if (v.pot.does === 'volume') {
      w.join(lug(v.pot.id, downOf(v.pot)), lug(v.pot.id, 'case'));
      bleedOver(w, v.pot.id, v.input, v.output);
    } else w.join(lug(v.pot.id, stages.volumes.indexOf(v) === 0 ? '1' : '3′'), lug(v.pot.id, 'case'));
  }
  for (const t of stages.tones) {
    if (!wish.elements.includes(t.capacitor)) w.add(t.capacitor);
    w.join(lug(t.pot.id, downOf(t.pot)), lug(t.capacitor.id, '1'));
    w.join(lug(t.capacitor.id, '2'), lug(t.pot.id, 'case'));
  }
  if (stages.preamp) w.ground(lug(stages.preamp.id, 'ground'));
  if (stages.preamp && stages.cell) {
    w.join(lug(stages.cell.id, 'plus'), lug(stages.preamp.id, 'plus'));
    w.join(lug(stages.cell.id, 'minus'), lug('jack', jack?.form === 'stereo' ? 'ring' : 'sleeve'));
  }
  for (const p of stages.pickups) {
    const r = splitOf(wish, p.id);
    if (r !== null) w.ground(lug(r, '2'));
  }
  for (const e of wish.elements) {
    if (e.kind === 'metal') w.ground(lug(e.id, 'metal'));
    if (e.kind === 'switch' && e.does === 'kill') for (const j of killed(e.id)) w.join(...j);
  }
  for (const net of netsOf(task.count, [...task.joined, ...joints])) {
    const of = net.flatMap((n) => lugs[n] ?? []);
    if (net.includes(0)) for (const l of of) w.ground(l);
    else for (const l of of.slice(1)) w.join(of[0] ?? l, l);
  }
  return w.done();
}

/** A kill switch lies over the jack: shorting is quiet, one in the hot crackles. */
const killed = (id: string): readonly (readonly [Lug, Lug])[] => [
  [lug(id, '1'), lug('jack', 'tip')],
  [lug(id, '2'), lug('jack', 'sleeve')],
];

/** Nodes that hang together, of two and more. */
export function netsOf(count: number, joints: readonly (readonly [number, number])[]): readonly (readonly number[])[] {
  const net = Array.from({ length: count }, (_, i) => i);
  for (const [a, b] of joints) {
    const [x, y] = [net[a] ?? a, net[b] ?? b];
    net.forEach((n, i) => {
      if (n === y) net[i] = x;
    });
  }
  const all = new Map<number, number[]>();
  net.forEach((n, i) => all.set(n, [...(all.get(n) ?? []), i]));
  return [...all.values()].filter((n) => n.length > 1);
}
