import { isPulled, positionOf } from '../setting.js';
import type { Circuit, Element } from '../circuit.js';
import type { FaultRow } from './row.js';

const withElement = (circuit: Circuit, e: Element): Circuit => ({ ...circuit, elements: circuit.elements.map((o) => (o.id === e.id ? e : o)) });

/** A contact that ought to be closed here is not. */
export const contactOpen: FaultRow = {
  id: 'contact open',
  ways: (circuit, setting) =>
    circuit.elements.flatMap((e) => {
      if (e.kind !== 'switch') return [];
      const here = positionOf(setting, e.id);
      return (e.table.positions[here]?.joins ?? []).map(([a, b], gone) => {
        const positions = e.table.positions.map((p, i) => (i === here ? { joins: p.joins.filter((_, k) => k !== gone) } : p));
        return { circuit: withElement(circuit, { ...e, table: { ...e.table, positions } }), setting, element: e.id, at: `${a} – ${b}` };
      });
    }),
};

/** A pull is as it is not said to be, or does not switch. */
export const pullStuck: FaultRow = {
  id: 'pull stuck',
  ways: (circuit, setting) =>
    circuit.elements.flatMap((e) => {
      if (e.kind !== 'pot' || !e.pull) return [];
      const is = isPulled(setting, e.id);
      return [{ circuit, setting: { ...setting, pulled: { ...setting.pulled, [e.id]: !is } }, element: e.id, at: is ? 'pushed' : 'pulled' }];
    }),
};

/** The switch stands elsewhere, or its table is that of another. */
export const otherPosition: FaultRow = {
  id: 'other position',
  ways: (circuit, setting) =>
    circuit.elements.flatMap((e) => {
      if (e.kind !== 'switch') return [];
      return e.table.positions.flatMap((_, i) =>
        i === positionOf(setting, e.id)
          ? []
          : [{ circuit, setting: { ...setting, positions: { ...setting.positions, [e.id]: i } }, element: e.id, at: `${i + 1}` }],
      );
    }),
};
