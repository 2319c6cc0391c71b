import { withJoint, withoutJoint, type FaultRow } from './row.js';

/** Nothing arrives at the tip or leaves by the sleeve. */
export const wayOpen: FaultRow = {
  id: 'way to the jack open',
  ways: (circuit, setting) =>
    circuit.joints.flatMap(({ a, b }, i) => {
      const end = [a, b].find((l) => l.element === 'jack');
      return end ? [{ circuit: withoutJoint(circuit, i), setting, element: 'jack', at: end.lug }] : [];
    }),
};

/** Tip and sleeve touch. */
export const hotOnGround: FaultRow = {
  id: 'hot on ground',
  ways: (circuit, setting) => [
    { circuit: withJoint(circuit, { element: 'jack', lug: 'tip' }, { element: 'jack', lug: 'sleeve' }), setting, element: 'jack', at: 'tip' },
  ],
};
