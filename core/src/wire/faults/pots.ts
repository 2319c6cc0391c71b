import { withoutJoint, type FaultRow } from './row.js';

/** A volume's ground lug is not joined to its case: at 0 it does not mute. */
export const groundLugOpen: FaultRow = {
  id: 'ground lug open',
  ways: (circuit, setting) =>
    circuit.joints.flatMap(({ a, b }, i) => {
      const pot = circuit.elements.find((e) => e.id === a.element);
      const inPot = a.element === b.element && pot?.kind === 'pot' && pot.does === 'volume' && (a.lug === 'case' || b.lug === 'case');
      return inPot ? [{ circuit: withoutJoint(circuit, i), setting, element: a.element, at: a.lug === 'case' ? b.lug : a.lug }] : [];
    }),
};

/** A capacitor lets direct current through, so much that it shows, Ω [memory: docs/trade/wire.md, Faults that a meter shows]. */
const LEAKS = [1000, 10_000, 50_000] as const;

export const capacitorLeaks: FaultRow = {
  id: 'capacitor leaks',
  ways: (circuit, setting) =>
    circuit.elements.flatMap((e) =>
      e.kind !== 'capacitor'
        ? []
        : LEAKS.map((ohms) => ({
            circuit: {
              ...circuit,
              elements: circuit.elements.map((o) =>
                o.id === e.id ? { ...e, leak: { value: ohms, limit: ohms * 0.9, basis: { kind: 'planned' as const } } } : o,
              ),
            },
            setting,
            element: e.id,
            at: '1 – 2',
          })),
    ),
};
