import { toBody, type Anatomy, type Cavity, type HoleFace, type HoleKind, type Plate } from '../instrument/index.js';
import { bounds, type Point } from '../shape/index.js';
import type { HardwareKind } from '../part/index.js';
import type { Choice, HardwareChoice, PickupChoice, PlaceRef } from './choice.js';

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

/** What goes into a hole of a kind [trade: docs/trade/check.md, What goes where]. */
export const HOLE_TAKES: Readonly<Record<HoleKind, readonly HardwareKind[]>> = {
  pot: ['pot', 'push-pull pot', 'rotary switch', 'mini toggle', 'toggle switch', 'jack'],
  switch: ['toggle switch', 'mini toggle', 'rotary switch', 'push-pull pot', 'pot'],
  jack: ['jack', 'end-pin jack'],
  tuner: ['tuner'],
  string: ['ferrule'],
  stud: ['bush', 'stud'],
  screw: ['wood screw', 'machine screw', 'strap pin'],
  wire: ['wire'],
  other: ['pot', 'jack', 'mini toggle', 'strap pin', 'end-pin jack'],
};

const PLATE_IS: Readonly<Record<Plate['kind'], readonly HardwareKind[]>> = {
  plate: ['plate', 'cover', 'guard'],
  guard: ['guard', 'plate'],
  ring: ['ring'],
  bridge: [],
  tailpiece: [],
  tremolo: [],
  other: ['plate', 'cover', 'guard', 'ring'],
};

/** Every place of an instrument that a part can be chosen for: pickup places, holes, slots, plates and the screws that hold them. */
export function placesOf(a: Anatomy): readonly Placeable[] {
  return [
    ...a.positions.map((p): Placeable => ({ kind: 'pickup', id: p.id, name: p.name, position: p.id, part: p.part })),
    ...a.holes.map((h): Placeable => ({
      kind: 'hardware',
      id: h.id,
      name: h.name,
      place: { on: 'feature', feature: h.id },
      kinds: HOLE_TAKES[h.kind],
      part: h.part ?? null,
    })),
    ...a.cavities.flatMap((c): readonly Placeable[] =>
      c.kind === 'slot'
        ? [{ kind: 'hardware', id: c.id, name: c.name, place: { on: 'feature', feature: c.id }, kinds: ['lever switch'], part: c.part ?? null }]
        : [],
    ),
    ...a.plates.flatMap((p): readonly Placeable[] => [
      ...(PLATE_IS[p.kind].length > 0
        ? [
            {
              kind: 'hardware' as const,
              id: p.id,
              name: p.name,
              place: { on: 'feature' as const, feature: p.id },
              kinds: PLATE_IS[p.kind],
              part: p.part ?? null,
            },
          ]
        : []),
      ...p.screws.map((_, screw) => ({
        kind: 'hardware' as const,
        id: `${p.id} screw ${screw + 1}`,
        name: `${p.name}, screw ${screw + 1}`,
        place: { on: 'feature' as const, feature: p.id, screw },
        kinds: ['wood screw', 'machine screw'] as const,
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

/** Where a new hole of a face is first thought of: over the deepest control cavity of the other face, else in the middle of the body; null on other faces. */
export function spotForHole(a: Anatomy, face: HoleFace): Point | null {
  if (face !== 'top' && face !== 'back') return null;
  const deepest = (c: Cavity): number => Math.max(...c.levels.map((p) => p.depth?.value ?? 0));
  const cavities = a.cavities.filter((c) => c.face !== face && c.levels.length > 0).sort((p, q) => deepest(q) - deepest(p));
  const cavity = cavities.find((c) => c.kind === 'control') ?? cavities[0];
  const over = cavity ? cavity.levels.map((p) => toBody(a, cavity.frame, p.outline.outline)) : a.body.outline ? [a.body.outline.outline] : [];
  if (over.length === 0) return null;
  const box = bounds(over);
  return { x: Math.round((box.minX + box.maxX) / 2), y: Math.round((box.minY + box.maxY) / 2) };
}

/** Is the place of a choice still on the instrument? */
export function isThere(a: Anatomy, choice: Choice): boolean {
  if (choice.kind === 'pickup') {
    const position = a.positions.find((p) => p.id === choice.position);
    return position !== undefined && a.cavities.some((c) => c.id === position.cavity);
  }
  const { place } = choice;
  if (place.on === 'face') return true;
  const plate = a.plates.find((p) => p.id === place.feature);
  if (place.screw !== undefined) return plate?.screws[place.screw] !== undefined;
  return plate !== undefined || a.holes.some((h) => h.id === place.feature) || a.cavities.some((c) => c.id === place.feature);
}
