import { elementIn, type Circuit, type Element, type ElementKind, type Lug, type Role } from './circuit.js';
import type { ContactTable } from '../part/index.js';
import { beginElement, ELEMENT_ROWS, lugsOf } from './kinds/index.js';

/** The kinds of elements that can be added; a circuit has one jack. */
export function kindsToAdd(circuit: Circuit): readonly ElementKind[] {
  return (Object.keys(ELEMENT_ROWS) as ElementKind[]).filter((k) => k !== 'jack' || elementIn(circuit, 'jack') === null);
}

/** A circuit with one element more, nothing joined to it; it is called by what it does. */
export function withElement(circuit: Circuit, kind: ElementKind, does: Role): { readonly circuit: Circuit; readonly added: Element } {
  const added = beginElement(kind, does, freshId(circuit, kind === 'jack' ? 'jack' : does));
  return { circuit: { ...circuit, elements: [...circuit.elements, added] }, added };
}

function freshId(circuit: Circuit, word: string): string {
  for (let n = 1; ; n++) {
    const id = n === 1 ? word : `${word} ${n}`;
    if (elementIn(circuit, id) === null) return id;
  }
}

/** A circuit in which an element is as given; joints to lugs that it has no more are gone. An element that is not there changes nothing. */
export function withChanged(circuit: Circuit, element: Element): Circuit {
  const elements = circuit.elements.map((e) => (e.id === element.id ? element : e));
  const there = new Set(lugsOf(element));
  return kept({ ...circuit, elements }, (l) => l.element !== element.id || there.has(l.lug));
}

/** The contacts of an element that switches; null: it does not. */
export const tableOf = (e: Element): ContactTable | null => (e.kind === 'switch' ? e.table : e.kind === 'pot' ? e.pull : null);

/** An element with other contacts; one that does not switch stays as it is. */
export function withTable(e: Element, table: ContactTable): Element {
  if (e.kind === 'switch') return { ...e, table };
  return e.kind === 'pot' && e.pull ? { ...e, pull: table } : e;
}

/** A circuit without an element and its joints. */
export function withoutElement(circuit: Circuit, id: string): Circuit {
  return kept({ ...circuit, elements: circuit.elements.filter((e) => e.id !== id) }, (l) => l.element !== id);
}

/** Joints to lugs that are gone are gone with them: what lay on them is to be traced again. */
function kept(circuit: Circuit, stays: (l: Lug) => boolean): Circuit {
  return { ...circuit, joints: circuit.joints.filter((j) => stays(j.a) && stays(j.b)), bare: circuit.bare.filter(stays) };
}
