import { lugKey, type Circuit, type Element, type Lug } from './circuit.js';
import { wrongContacts, type ContactProblem, type ContactTable } from '../part/index.js';
import { lugsOf } from './kinds/index.js';
import type { Dimension } from '../measure/index.js';

/** What cannot be of a circuit, with the element or the joint that it is about. */
export type CircuitProblem =
  | { readonly kind: 'id twice'; readonly element: string }
  | { readonly kind: 'no such lug'; readonly lug: Lug }
  | { readonly kind: 'joined to itself'; readonly lug: Lug }
  | { readonly kind: 'bare and joined'; readonly lug: Lug }
  | { readonly kind: 'not positive'; readonly element: string; readonly value: number }
  | { readonly kind: 'contacts'; readonly element: string; readonly problem: ContactProblem }
  | { readonly kind: 'no coils'; readonly element: string }
  | { readonly kind: 'coil twice'; readonly element: string; readonly coil: string }
  | { readonly kind: 'jacks'; readonly count: number };

/** What is wrong with a circuit as it would be kept; nothing when it can be. */
export function circuitProblems(circuit: Circuit): readonly CircuitProblem[] {
  const { elements, joints, bare } = circuit;
  const ids = elements.map((e) => e.id);
  const out: CircuitProblem[] = ids.filter((id, i) => ids.indexOf(id) !== i).map((element) => ({ kind: 'id twice', element }));
  const jacks = elements.filter((e) => e.kind === 'jack');
  if (jacks.length > 1 || (jacks.length === 1 && jacks[0]?.id !== 'jack')) out.push({ kind: 'jacks', count: jacks.length });
  const there = new Set(elements.flatMap((e) => lugsOf(e).map((lug) => lugKey({ element: e.id, lug }))));
  const lost = (lug: Lug): readonly CircuitProblem[] => (there.has(lugKey(lug)) ? [] : [{ kind: 'no such lug', lug }]);
  const joined = new Set<string>();
  for (const { a, b } of joints) {
    out.push(...lost(a), ...lost(b));
    if (lugKey(a) === lugKey(b)) out.push({ kind: 'joined to itself', lug: a });
    joined.add(lugKey(a)).add(lugKey(b));
  }
  for (const lug of bare) out.push(...lost(lug), ...(joined.has(lugKey(lug)) ? ([{ kind: 'bare and joined', lug }] as const) : []));
  return [...out, ...elements.flatMap(elementProblems)];
}

function elementProblems(e: Element): readonly CircuitProblem[] {
  const positive = (...values: readonly (Dimension | null)[]): readonly CircuitProblem[] =>
    values.flatMap((d) => (d !== null && !(d.value > 0) ? [{ kind: 'not positive' as const, element: e.id, value: d.value }] : []));
  const contacts = (table: ContactTable | null): readonly CircuitProblem[] =>
    table ? wrongContacts(table).map((problem) => ({ kind: 'contacts' as const, element: e.id, problem })) : [];
  switch (e.kind) {
    case 'pickup': {
      const names = e.coils.map((c) => c.name);
      return [
        ...(names.length === 0 ? [{ kind: 'no coils' as const, element: e.id }] : []),
        ...names.filter((n, i) => names.indexOf(n) !== i).map((coil) => ({ kind: 'coil twice' as const, element: e.id, coil })),
        ...e.coils.flatMap((c) => positive(c.ohms, c.henry, c.farad, c.loss)),
      ];
    }
    case 'pot':
      return [...positive(...e.tracks.map((t) => t.ohms)), ...contacts(e.pull)];
    case 'switch':
      return contacts(e.table);
    case 'capacitor':
      return positive(e.farad, e.leak);
    case 'resistor':
      return positive(e.ohms);
    case 'cell':
      return positive(e.volt);
    case 'preamp':
      return positive(e.gain, e.sourceOhms, e.inputOhms, e.supply);
    case 'piezo':
      return positive(e.farad);
    default:
      return [];
  }
}
