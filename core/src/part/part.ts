import { gapInside, selfCrossing, type Outline } from '../shape/index.js';
import { wrongContacts, type ContactProblem } from './contact-table.js';
import type { Hardware } from './hardware.js';
import { isPickup, type Pickup } from './pickup.js';

export type Part = Pickup | Hardware;

/** Every part that is no pickup is of one of the registered kinds. */
export function isHardware(part: { readonly kind: string }): part is Hardware {
  return !isPickup(part);
}

/** Parts by their ids. */
export type Shelf = Readonly<Record<string, Part>>;

/** The pickup of that id; null where there is none. */
export function pickupIn(shelf: Shelf, id: string | null): Pickup | null {
  const part = id === null ? undefined : shelf[id];
  return part && isPickup(part) ? part : null;
}

/** What cannot be of a part. */
export type PartProblem =
  | { readonly kind: 'crossesItself'; readonly outline: string }
  | { readonly kind: 'replacesItself'; readonly chain: readonly string[] }
  | { readonly kind: 'noSuchReplacement'; readonly part: string }
  | { readonly kind: 'openingOutside'; readonly opening: string }
  | { readonly kind: 'contacts'; readonly problem: ContactProblem };

/** The part to take: the one asked for, or what replaces it. Throws RangeError when replacements go round in a circle. */
export function replacementOf(id: string, shelf: Shelf): string {
  const chain = chainOf(id, shelf);
  if (chain.circle) throw new RangeError(`replacements go round in a circle: ${chain.ids.join(' → ')}`);
  return chain.ids[chain.ids.length - 1] ?? id;
}

function chainOf(id: string, shelf: Shelf): { readonly ids: readonly string[]; readonly circle: boolean } {
  const ids = [id];
  for (let next = shelf[id]?.replacedBy ?? null; next !== null; next = shelf[next]?.replacedBy ?? null) {
    if (ids.includes(next)) return { ids: [...ids, next], circle: true };
    ids.push(next);
  }
  return { ids, circle: false };
}

/** The same parts, each after what replaces it: as they can be put on a shelf one by one. What goes round in a circle stays where it is. */
export function replacementsFirst(parts: readonly Part[]): readonly Part[] {
  const among: Shelf = Object.fromEntries(parts.map((p) => [p.id, p]));
  const steps = new Map(parts.map((p) => [p.id, chainOf(p.id, among).ids.length]));
  return [...parts].sort((a, b) => (steps.get(a.id) ?? 0) - (steps.get(b.id) ?? 0));
}

/** What is wrong with a part as it would stand on the shelf; nothing when it can be. */
export function partProblems(part: Part, shelf: Shelf): readonly PartProblem[] {
  const out: PartProblem[] = outlinesOf(part)
    .filter(({ outline }) => selfCrossing(outline) !== null)
    .map(({ name }) => ({ kind: 'crossesItself', outline: name }));
  if (out.length === 0) out.push(...openingsOutside(part));
  if (!isPickup(part) && part.contacts) out.push(...wrongContacts(part.contacts).map((problem): PartProblem => ({ kind: 'contacts', problem })));
  const by = part.replacedBy ?? null;
  if (by !== null && by !== part.id && !shelf[by]) out.push({ kind: 'noSuchReplacement', part: by });
  const { ids, circle } = chainOf(part.id, { ...shelf, [part.id]: part });
  if (circle) out.push({ kind: 'replacesItself', chain: ids });
  return out;
}

function openingsOutside(part: Part): readonly PartProblem[] {
  if (isPickup(part) || !part.shape) return [];
  const plate = [part.shape.outline.outline];
  return part.shape.openings.flatMap((o): readonly PartProblem[] =>
    gapInside([o.shape.outline], plate).clearance < 0 ? [{ kind: 'openingOutside', opening: o.id }] : [],
  );
}

/** Every outline of a part, by what it is. */
export function outlinesOf(part: Part): readonly { readonly name: string; readonly outline: Outline }[] {
  if (isPickup(part)) return part.tiers.flatMap((l) => l.shapes.map((s, i) => ({ name: l.shapes.length > 1 ? `${l.id} ${i + 1}` : l.id, outline: s.outline })));
  if (!part.shape) return [];
  return [{ name: 'outline', outline: part.shape.outline.outline }, ...part.shape.openings.map((o) => ({ name: o.id, outline: o.shape.outline }))];
}
