import { bounds, containsPoint, roundedRectangle, type Placement } from '../shape/index.js';
import { amongStrings } from './string-across.js';
import type { Anatomy, Cavity, Opening, PickupPosition, Strings } from './anatomy.js';
import { boundsOf, featureOf } from './feature.js';
import { placementOf, toBody } from './frame.js';

/** The cavity that a pickup place hangs in; null where place or cavity is not there. */
export function cavityOf(a: Anatomy, { position }: { readonly position: string }): Cavity | null {
  const place = a.positions.find((p) => p.id === position);
  return a.cavities.find((c) => c.id === place?.cavity) ?? null;
}

/** Where a pickup lies in the body's frame. */
export function lies({ at, turn = 0 }: Pick<PickupPosition, 'at' | 'turn'>): Placement {
  return { ...at, turn };
}

/** An opening that nobody measured: a full-width cover's window with half its usual range, mm [memory: docs/trade/instrument.md, starting kinds]. */
const TYPICAL_WINDOW = { width: 70, height: 39, corner: 3.5, limit: 1 };

/**
 * Makes a route a place for a pickup that hangs in a plate: in the plate's opening over the route's middle, or in a typical one that is put there.
 * Throws RangeError when either is not there, or a pickup hangs in the route already.
 */
export function placePickup(a: Anatomy, cavity: string, plate: string, id: string, name: string): Anatomy {
  const route = featureOf(a, cavity);
  const over = a.plates.find((p) => p.id === plate);
  if (route?.kind !== 'cavity' || !over) throw new RangeError(`nothing here is called ${route ? plate : cavity}`);
  if (a.positions.some((p) => p.cavity === cavity)) throw new RangeError('a pickup hangs in it already');
  const b = boundsOf(a, route);
  const middle = { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 };
  const there = over.openings.find((o) => containsPoint(toBody(a, over.frame, o.outline.outline), middle));
  const frame = placementOf(a, over.frame);
  const { width, height, corner, limit } = TYPICAL_WINDOW;
  const opening: Opening = there ?? {
    id: `${id} window`,
    name: `${name} window`,
    outline: {
      outline: roundedRectangle(width, height, corner, { x: middle.x - frame.x, y: middle.y - frame.y }),
      limit,
      basis: { kind: 'default' },
      across: null,
      along: null,
    },
    insert: null,
  };
  const at = there ? middleOf(a, over.frame, there) : middle;
  return {
    ...a,
    plates: there ? a.plates : a.plates.map((p) => (p.id === plate ? { ...p, openings: [...p.openings, opening] } : p)),
    cavities: a.cavities.map((c) => (c.id === cavity ? { ...c, hiddenBy: c.hiddenBy ?? plate } : c)),
    positions: [...a.positions, { id, name, cavity, plate, opening: opening.id, at, part: null }],
  };
}

/**
 * How far a pickup place is turned about its middle, degrees, and which strings lie over it; null: all. Throws RangeError when it is not there.
 */
export function describePickupPlace(
  a: Anatomy,
  id: string,
  { turn, strings }: { readonly turn: number; readonly strings: readonly [number, number] | null },
): Anatomy {
  if (!a.positions.some((p) => p.id === id)) throw new RangeError(`nothing here is called ${id}`);
  const told = (p: PickupPosition): PickupPosition => (strings ? { ...p, turn, strings } : { ...underAll(p), turn });
  return { ...a, positions: a.positions.map((p) => (p.id === id ? told(p) : p)) };
}

/** Other strings on an instrument; a pickup place that lay under strings that are no more lies under all. */
export function describeStrings(a: Anatomy, strings: Strings): Anatomy {
  const n = amongStrings(strings, true).length;
  return { ...a, strings, positions: a.positions.map((p) => (p.strings && p.strings[1] > n ? underAll(p) : p)) };
}

function underAll(p: PickupPosition): PickupPosition {
  const { strings, ...rest } = p;
  return strings ? rest : p;
}

function middleOf(a: Anatomy, frame: string, o: Opening): { readonly x: number; readonly y: number } {
  const b = bounds([toBody(a, frame, o.outline.outline)]);
  return { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 };
}
