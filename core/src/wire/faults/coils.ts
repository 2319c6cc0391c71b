import type { Circuit } from '../circuit.js';
import { coilLug } from '../kinds/index.js';
import { withJoint, type FaultRow, type Faulty } from './row.js';

/** Something that is so of each coil in turn. */
const eachCoil = (circuit: Circuit, of: (element: string, coil: string) => Omit<Faulty, 'element' | 'at'>): readonly Faulty[] =>
  circuit.elements.flatMap((e) => (e.kind === 'pickup' ? e.coils.map((c) => ({ ...of(e.id, c.name), element: e.id, at: c.name })) : []));

/** No current goes through a coil: the meter sees the pot in its place. */
export const coilOpen: FaultRow = {
  id: 'coil open',
  ways: (circuit, setting) =>
    eachCoil(circuit, (element, coil) => ({
      setting,
      circuit: {
        ...circuit,
        elements: circuit.elements.map((e) =>
          e.kind === 'pickup' && e.id === element ? { ...e, coils: e.coils.map((c) => (c.name === coil ? { ...c, broken: true as const } : c)) } : e,
        ),
      },
    })),
};

/** Both ends of a coil touch: its half is missing. */
export const coilShorted: FaultRow = {
  id: 'coil shorted',
  ways: (circuit, setting) =>
    eachCoil(circuit, (element, coil) => ({
      setting,
      circuit: withJoint(circuit, { element, lug: coilLug(coil, 'start') }, { element, lug: coilLug(coil, 'finish') }),
    })),
};
