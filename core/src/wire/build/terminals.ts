import type { CapacitorElement, Element, Lug, PickupElement, PotElement } from '../circuit.js';
import { coilLug, lugsOf, trackLug } from '../kinds/index.js';
import { markedCapacitor } from '../values.js';
import type { CircuitWish } from './wish.js';

/** What of a pot a signal goes through. */
export interface Volume {
  readonly pot: PotElement;
  readonly input: Lug;
  readonly output: Lug;
  /** The pickup that it serves; null: all. */
  readonly of: string | null;
}

export interface Tone {
  readonly pot: PotElement;
  readonly capacitor: CapacitorElement;
  readonly of: string | null;
}

/** What lies between the pickups and the jack, sorted by what it does. */
export interface Stages {
  readonly pickups: readonly PickupElement[];
  readonly volumes: readonly Volume[];
  readonly tones: readonly Tone[];
  readonly preamp: Element | null;
  readonly cell: Element | null;
}

const lug = (element: string, name: string): Lug => ({ element, lug: name });

/** The lug towards which a knob goes up, and the other one. */
export const upOf = (pot: PotElement, track = 0): string => trackLug(track, pot.reverse ? 1 : 3);
export const downOf = (pot: PotElement, track = 0): string => trackLug(track, pot.reverse ? 3 : 1);

/** The parts of a wish by what they do. A blend is two volumes on one shaft, one a pickup. A tone without a capacitor gets one as its pot usually has. */
export function stagesOf({ elements, serves, independent }: CircuitWish): Stages {
  const pickups = elements.filter((e) => e.kind === 'pickup');
  const pots = elements.filter((e) => e.kind === 'pot');
  const ofPickup = (id: string): string | null => pickups.find((p) => p.id === serves[id])?.id ?? null;
  const volumes = pots.flatMap((pot): readonly Volume[] => {
    if (pot.does === 'blend')
      return pickups.slice(0, 2).map((p, i) => ({ pot, input: lug(pot.id, trackLug(i, 2)), output: lug(pot.id, trackLug(i, i === 0 ? 3 : 1)), of: p.id }));
    if (pot.does !== 'volume') return [];
    const of = ofPickup(pot.id);
    const [outer, wiper] = [lug(pot.id, upOf(pot)), lug(pot.id, trackLug(0, 2))];
    return [independent && of !== null ? { pot, input: wiper, output: outer, of } : { pot, input: outer, output: wiper, of }];
  });
  const spare = elements.filter((e) => e.kind === 'capacitor' && e.does === 'tone capacitor');
  const tones = pots
    .filter((p) => p.does === 'tone')
    .map((pot, i): Tone => {
      const own = spare.find((c) => c.id === `${pot.id} capacitor`) ?? spare.filter((c) => !pots.some((p) => c.id === `${p.id} capacitor`))[i];
      return { pot, of: ofPickup(pot.id), capacitor: own?.kind === 'capacitor' ? own : usualCapacitor(pot) };
    });
  return {
    pickups,
    volumes,
    tones,
    preamp: elements.find((e) => e.kind === 'preamp') ?? null,
    cell: elements.find((e) => e.kind === 'cell') ?? null,
  };
}

/** 22 nF with 500 kΩ, 47 nF with 250 kΩ [memory: docs/trade/wire.md, Pots]. */
function usualCapacitor(pot: PotElement): CapacitorElement {
  const farad = markedCapacitor((pot.tracks[0]?.ohms.value ?? 500_000) > 350_000 ? 22e-9 : 47e-9);
  return { kind: 'capacitor', id: `${pot.id} capacitor`, name: null, does: 'tone capacitor', place: pot.place, part: null, farad, leak: null };
}

/** The ends of a coil: where the signal comes out with winding · magnet of +1, and the other; `turned` the other way about. */
export function endsOf(p: PickupElement, name: string, turned: boolean): { readonly up: Lug; readonly down: Lug } | null {
  const coil = p.coils.find((c) => c.name === name);
  if (!coil) return null;
  const startUp = coil.winding * coil.magnet === (turned ? -1 : 1);
  const [start, finish] = [lug(p.id, coilLug(name, 'start')), lug(p.id, coilLug(name, 'finish'))];
  return startUp ? { up: start, down: finish } : { up: finish, down: start };
}

/** The joint inside a pickup of two coils whose leads are not all led out: in series and in phase; null: nothing is joined inside. */
export function insideJoint(p: PickupElement, { ledOut }: CircuitWish): readonly [Lug, Lug] | null {
  const [first, second] = p.coils;
  if (!first || !second || (ledOut[p.id] ?? 'coils apart') === 'coils apart') return null;
  const [a, b] = [endsOf(p, first.name, false), endsOf(p, second.name, false)];
  return a && b ? [a.down, b.up] : null;
}

/** The lugs of one pole after the other: those that a switch can ever join with one another. */
export function polesOf(e: Element): readonly (readonly string[])[] {
  const table = e.kind === 'switch' ? e.table : e.kind === 'pot' ? e.pull : null;
  if (!table || e.does === 'kill') return [];
  const pole = new Map(table.lugs.map((l) => [l, new Set([l])]));
  for (const { joins } of table.positions)
    for (const [a, b] of joins) {
      const all = new Set([...(pole.get(a) ?? [a]), ...(pole.get(b) ?? [b])]);
      for (const l of all) pole.set(l, all);
    }
  return [...new Set(pole.values())].map((s) => table.lugs.filter((l) => s.has(l))).filter((s) => s.length > 1);
}

export const allLugs = (elements: readonly Element[]): readonly Lug[] => elements.flatMap((e) => lugsOf(e).map((l) => lug(e.id, l)));
