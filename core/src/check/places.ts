import { toBody, type Anatomy, type Cavity, type HoleFace } from '../instrument/index.js';
import { bounds, type Point } from '../shape/index.js';
import { kindsFor, type HardwareKind, type PartRows } from '../part/index.js';
import type { HardwareChoice, PickupChoice, PlaceRef } from './choice.js';

/** A place of an instrument that a part can be chosen for: its name, and the kinds that go there. */
export type Placeable =
  | { readonly kind: 'pickup'; readonly id: string; readonly name: string; readonly position: string; readonly part: string | null }
  | {
      readonly kind: 'hardware';
      readonly id: string;
      readonly name: string;
      readonly place: PlaceRef;
      readonly kinds: readonly HardwareKind[];
      readonly part: string | null;
    };

/** Every place of an instrument that a part can be chosen for: pickup places, holes, slots, plates and the screws that hold them. */
export function placesOf(rows: PartRows, a: Anatomy): readonly Placeable[] {
  return [
    ...a.positions.map((p): Placeable => ({ kind: 'pickup', id: p.id, name: p.name, position: p.id, part: p.part })),
    ...a.holes.map((h): Placeable => ({
      kind: 'hardware',
      id: h.id,
      name: h.name,
      place: { on: 'feature', feature: h.id },
      kinds: kindsFor(rows, 'holes', h.kind),
      part: h.part ?? null,
    })),
    ...a.cavities.flatMap((c): readonly Placeable[] =>
      c.kind === 'slot'
        ? [{ kind: 'hardware', id: c.id, name: c.name, place: { on: 'feature', feature: c.id }, kinds: kindsFor(rows, 'slots'), part: c.part ?? null }]
        : [],
    ),
    ...a.plates.flatMap((p): readonly Placeable[] => [
      ...(kindsFor(rows, 'plates', p.kind).length > 0
        ? [
            {
              kind: 'hardware' as const,
              id: p.id,
              name: p.name,
              place: { on: 'feature' as const, feature: p.id },
              kinds: kindsFor(rows, 'plates', p.kind),
              part: p.part ?? null,
            },
          ]
        : []),
      ...p.screws.map((_, screw) => ({
        kind: 'hardware' as const,
        id: `${p.id} screw ${screw + 1}`,
        name: `${p.name}, screw ${screw + 1}`,
        place: { on: 'feature' as const, feature: p.id, screw },
        kinds: kindsFor(rows, 'plateScrews'),
        part: null,
      })),
    ]),
  ];
}

/** A pickup for a place, with nothing done for it yet. Two leads are wanted until somebody says more. */
export function newPickupChoice(position: string, part: string | null): PickupChoice {
  return { kind: 'pickup', id: position, position, part, alternatives: [], insertFitted: false, leadsNeeded: 2, route: null };
}

/** Any other part for a place, with nothing done for it yet. */
export function newHardwareChoice(id: string, place: PlaceRef, part: string | null): HardwareChoice {
  return { kind: 'hardware', id, place, part, alternatives: [], count: 1, work: [] };
}

/**
 * Where a new hole of a face is first thought of: over the deepest control cavity of the other face, else in the middle of the body; on the side in the
 * middle of its end, half-way through the wood (x runs from the top down, y along the body); null on other faces. A body of 44 that ends at 355: 22, 355.
 */
export function spotForHole(a: Anatomy, face: HoleFace): Point | null {
  if (face === 'side')
    return a.body.outline && a.body.thickness ? { x: a.body.thickness.value / 2, y: Math.round(bounds([a.body.outline.outline]).maxY) } : null;
  if (face !== 'top' && face !== 'back') return null;
  const deepest = (c: Cavity): number => Math.max(...c.levels.map((p) => p.depth?.value ?? 0));
  const cavities = a.cavities.filter((c) => c.face !== face && c.levels.length > 0).sort((p, q) => deepest(q) - deepest(p));
  const cavity = cavities.find((c) => c.kind === 'control') ?? cavities[0];
  const over = cavity ? cavity.levels.map((p) => toBody(a, cavity.frame, p.outline.outline)) : a.body.outline ? [a.body.outline.outline] : [];
  if (over.length === 0) return null;
  const box = bounds(over);
  return { x: Math.round((box.minX + box.maxX) / 2), y: Math.round((box.minY + box.maxY) / 2) };
}
