import type { Dimension } from '../measure/index.js';
import { isOpenCircuit, isState, stillStanding, type Reading } from '../quantity/index.js';
import type { Circuit, Element } from './circuit.js';
import { copperFactor, USUAL_ROOM, type Room } from './copper.js';
import { coilLug, trackLug } from './kinds/index.js';

/** What is read of a part by itself that its sheet says, too. */
const ALONE = ['partResistance', 'partCapacitance', 'partInductance'] as const;
type ReadAlone = (typeof ALONE)[number];

/** The newest reading of a part by itself, between two of its lugs; null where nobody read it, or it is open. */
type ReadOf = (quantity: ReadAlone, element: string, part: string) => Dimension | null;

/**
 * A circuit with what was metered of its parts in place of what their sheets say: nothing is kept twice. A coil's copper is taken back to 20 °C: 7690 Ω read at 10 °C are 8005.
 * An open coil keeps its value: that it is open is a fault, not what it should be.
 */
export function asRead(circuit: Circuit, readings: readonly Reading[], room: Room = USUAL_ROOM): Circuit {
  const newest = new Map<string, Reading>();
  for (const r of stillStanding(readings)) {
    const { quantity } = r.target;
    if (!isState(r.target) || !ALONE.some((q) => q === quantity)) continue;
    const key = `${quantity}|${r.target.feature}|${r.target.part ?? ''}`;
    const before = newest.get(key);
    if (!before || before.at <= r.at) newest.set(key, r);
  }
  if (newest.size === 0) return circuit;
  const read: ReadOf = (quantity, element, part) => {
    const r = newest.get(`${quantity}|${element}|${part}`);
    return r && !isOpenCircuit(r.value) && r.value > 0 ? { value: r.value, limit: r.limit, basis: { kind: 'readings', ids: [r.id] } } : null;
  };
  return { ...circuit, elements: circuit.elements.map((e) => elementAsRead(e, read, room)) };
}

function elementAsRead(e: Element, read: ReadOf, room: Room): Element {
  switch (e.kind) {
    case 'pickup':
      return {
        ...e,
        coils: e.coils.map((c) => {
          const across = `${coilLug(c.name, 'start')} – ${coilLug(c.name, 'finish')}`;
          const [ohms, henry] = [read('partResistance', e.id, across), read('partInductance', e.id, across)];
          return { ...c, ohms: ohms ? atTwenty(ohms, room) : c.ohms, henry: henry ?? c.henry };
        }),
      };
    case 'pot':
      return { ...e, tracks: e.tracks.map((t, i) => ({ ...t, ohms: read('partResistance', e.id, `${trackLug(i, 1)} – ${trackLug(i, 3)}`) ?? t.ohms })) };
    case 'capacitor': {
      const nano = read('partCapacitance', e.id, '1 – 2');
      return nano ? { ...e, farad: { ...nano, value: nano.value * 1e-9, limit: nano.limit * 1e-9 } } : e;
    }
    case 'resistor':
      return { ...e, ohms: read('partResistance', e.id, '1 – 2') ?? e.ohms };
    default:
      return e;
  }
}

/** Copper as it would read at 20 °C; how warm it was adds to the limit. */
export function atTwenty({ value, limit, basis }: Dimension, { celsius, limit: off }: Room): Dimension {
  const factor = copperFactor(celsius);
  return { value: value / factor, limit: limit / factor + (value / factor) * Math.abs(copperFactor(celsius + off) / factor - 1), basis };
}
