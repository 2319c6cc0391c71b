import { elementIn, lugKey, type Circuit, type Element, type ElementKind, type Joint, type Lug } from './circuit.js';
import { tableOf } from './edit.js';
import type { ElementField, FieldId } from './element-field.js';
import { fieldsOf, lugsOf } from './kinds/index.js';
import type { ContactTable, ElectricUnit } from '../part/index.js';

/** What is otherwise in one circuit than in another. */
export type CircuitDifference =
  | { readonly kind: 'added' | 'removed'; readonly element: string; readonly is: ElementKind }
  | {
      readonly kind: 'field';
      readonly element: string;
      readonly key: FieldId;
      /** The coil or the track. */
      readonly of: string | null;
      /** What a value is in; null: it is chosen, or a word. */
      readonly unit: ElectricUnit | null;
      readonly from: string | number | null;
      readonly to: string | number | null;
    }
  | { readonly kind: 'contacts'; readonly element: string }
  | { readonly kind: 'joined' | 'parted'; readonly joint: Joint };

/** What is otherwise in `now` than in `before`: parts, values, contacts, and which terminals hang together. By which way a wire goes makes no difference. */
export function circuitDifferences(before: Circuit, now: Circuit): readonly CircuitDifference[] {
  const gone = before.elements.filter((e) => elementIn(now, e.id) === null || elementIn(now, e.id)?.kind !== e.kind);
  const come = now.elements.filter((e) => elementIn(before, e.id) === null || elementIn(before, e.id)?.kind !== e.kind);
  const both = now.elements.flatMap((e): readonly (readonly [Element, Element])[] => {
    const was = elementIn(before, e.id);
    return was?.kind === e.kind ? [[was, e]] : [];
  });
  return [
    ...gone.map((e) => ({ kind: 'removed' as const, element: e.id, is: e.kind })),
    ...come.map((e) => ({ kind: 'added' as const, element: e.id, is: e.kind })),
    ...both.flatMap(([was, is]) => [...fieldDifferences(was, is), ...contactDifferences(was, is)]),
    ...wireDifferences(before, now),
  ];
}

/** Values differ by what they are, not by how they are known. */
const told = (f: ElementField | undefined): string | number | null => (f === undefined ? null : f.kind === 'value' ? (f.known?.value ?? null) : f.now);

function fieldDifferences(was: Element, is: Element): readonly CircuitDifference[] {
  const key = (f: ElementField): string => `${f.of ?? ''}/${f.key}`;
  const [old, fresh] = [was, is].map((e) => new Map(fieldsOf(e).map((f) => [key(f), f])));
  if (!old || !fresh) return [];
  return [...new Set([...old.keys(), ...fresh.keys()])].flatMap((k): readonly CircuitDifference[] => {
    const [from, to] = [told(old.get(k)), told(fresh.get(k))];
    const field = fresh.get(k) ?? old.get(k);
    if (!field || from === to) return [];
    return [{ kind: 'field', element: is.id, key: field.key, of: field.of, unit: field.kind === 'value' ? field.unit : null, from, to }];
  });
}

/** Two tables are the same when each position joins the same lugs. */
function contactDifferences(was: Element, is: Element): readonly CircuitDifference[] {
  const [a, b] = [tableOf(was), tableOf(is)];
  if (!a || !b) return [];
  const sets = (t: ContactTable): string => JSON.stringify([t.momentary ?? false, [...t.lugs].sort(), t.positions.map((p) => chains(p.joins))]);
  return sets(a) === sets(b) ? [] : [{ kind: 'contacts', element: is.id }];
}

/** Names that hang together, each chain and all of them in order. */
function chains(pairs: readonly (readonly [string, string])[]): readonly (readonly string[])[] {
  const of = new Map<string, ReadonlySet<string>>();
  for (const [x, y] of pairs) {
    const all = new Set([x, y, ...(of.get(x) ?? []), ...(of.get(y) ?? [])]);
    for (const n of all) of.set(n, all);
  }
  return [...new Set(of.values())].map((s) => [...s].sort()).sort();
}

function wireDifferences(before: Circuit, now: Circuit): readonly CircuitDifference[] {
  return [
    ...apart(before, now).map((joint) => ({ kind: 'parted' as const, joint })),
    ...apart(now, before).map((joint) => ({ kind: 'joined' as const, joint })),
  ];
}

/** What hangs together in one circuit and not in another that has at least one of its ends: each part of a net against the largest. Lugs that the other has not at all are told with their elements. */
function apart(here: Circuit, there: Circuit): readonly Joint[] {
  const lugs = new Map(here.elements.flatMap((e) => lugsOf(e).map((lug): readonly [string, Lug] => [lugKey({ element: e.id, lug }), { element: e.id, lug }])));
  const known = new Set(there.elements.flatMap((e) => lugsOf(e).map((lug) => lugKey({ element: e.id, lug }))));
  const nets = (c: Circuit): readonly (readonly string[])[] => chains(c.joints.map(({ a, b }) => [lugKey(a), lugKey(b)]));
  const netThere = new Map(nets(there).flatMap((net, i) => net.map((l) => [l, i] as const)));
  return nets(here).flatMap((net): readonly Joint[] => {
    const groups = new Map<string, string[]>();
    for (const l of net) {
      if (!known.has(l)) continue;
      const group = netThere.has(l) ? `net ${netThere.get(l) ?? ''}` : l;
      groups.set(group, [...(groups.get(group) ?? []), l]);
    }
    const [largest = [], ...others] = [...groups.values()].sort((x, y) => y.length - x.length);
    return others.flatMap((small) => {
      const direct = here.joints.find(({ a, b }) =>
        [
          [a, b],
          [b, a],
        ].some(([x, y]) => x && y && small.includes(lugKey(x)) && largest.includes(lugKey(y))),
      );
      const [a, b] = [lugs.get(small[0] ?? ''), lugs.get(largest[0] ?? '')];
      return direct ? [direct] : a && b ? [{ a, b }] : [];
    });
  });
}
